package dev.zelotype.tools;

import java.util.regex.Pattern;

/**
 * For Zelotype's own tools: names of types for people, and patterns of names. Stateless.
 */
public final class TypeNames {

    private static final Pattern PLATFORM = Pattern.compile(
            "(java|javax|jdk|jakarta|kotlin|kotlinx|scala|groovy|sun|com\\.sun|org\\.w3c|org\\.xml)\\..*");

    private TypeNames() {}

    /**
     * Tells whether a type belongs to a platform or a language.
     *
     * @param name its qualified or binary name
     * @return for example true for {@code java.sql.ResultSet}
     */
    public static boolean isOfPlatform(String name) {
        return PLATFORM.matcher(name).matches();
    }

    /**
     * Returns a type's name without its package and enclosing types.
     *
     * @param binaryName for example {@code dev.observatory.NightRun$Plan}
     * @return for example {@code Plan}
     */
    public static String simple(String binaryName) {
        return binaryName.substring(Math.max(binaryName.lastIndexOf('.'), binaryName.lastIndexOf('$')) + 1);
    }

    /**
     * Returns the named class that code belongs to: lambdas and anonymous classes belong to their enclosing class.
     *
     * @param binaryName for example {@code dev.observatory.NightRun$$Lambda/0x1} or {@code dev.observatory.NightRun$1}
     * @return for example {@code dev.observatory.NightRun}
     */
    public static String named(String binaryName) {
        int hidden = binaryName.indexOf("$$");
        String name = hidden < 0 ? binaryName : binaryName.substring(0, hidden);
        return name.replaceAll("\\$\\d.*", "");
    }

    /**
     * Parses a list of names.
     *
     * @param wanted names separated by commas, in which a star matches anything; blanks around a name are ignored
     * @return a pattern for whole names
     */
    public static Pattern wanted(String wanted) {
        StringBuilder all = new StringBuilder();
        for (String one : wanted.split(",")) {
            all.append(all.length() == 0 ? "" : "|")
                    .append(Pattern.quote(one.strip()).replace("*", "\\E.*\\Q"));
        }
        return Pattern.compile(all.toString());
    }
}
