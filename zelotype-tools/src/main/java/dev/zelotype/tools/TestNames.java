package dev.zelotype.tools;

import java.util.regex.Pattern;

/**
 * For Zelotype's own tools: readable names of tests. Stateless.
 */
public final class TestNames {

    private static final Pattern METHOD = Pattern.compile("\\w+\\([^)]*\\)");

    private TestNames() {}

    /**
     * Returns a test's name without underscores, and without the parentheses of a method.
     *
     * @param name the name, for example {@code NightRunTest: a_humid_night()}; other names are returned unchanged
     * @return the readable name, for example {@code NightRunTest: a humid night}
     */
    public static String readable(String name) {
        int title = name.indexOf(": ") < 0 ? 0 : name.indexOf(": ") + 2;
        String shown = name.substring(title);
        return METHOD.matcher(shown).matches()
                ? name.substring(0, title)
                        + shown.substring(0, shown.indexOf('(')).replace('_', ' ')
                : name;
    }
}
