package dev.zelotype.tools;

import java.util.regex.Pattern;

/**
 * For Zelotype's own tools: names of types as people read them and ask for them. Stateless.
 */
public final class TypeNames {

    private static final Pattern PLATFORM = Pattern.compile(
            "(java|javax|jdk|jakarta|kotlin|kotlinx|scala|groovy|sun|com\\.sun|org\\.w3c|org\\.xml)\\..*");

    private TypeNames() {}

    /**
     * Whether a type comes with a platform or a language.
     *
     * @param name its qualified or binary name
     * @return such as true for {@code java.sql.ResultSet}
     */
    public static boolean isOfPlatform(String name) {
        return PLATFORM.matcher(name).matches();
    }

    /**
     * A type's name without its package and the types around it.
     *
     * @param binaryName such as {@code dev.observatory.NightRun$Plan}
     * @return such as {@code Plan}
     */
    public static String simple(String binaryName) {
        return binaryName.substring(Math.max(binaryName.lastIndexOf('.'), binaryName.lastIndexOf('$')) + 1);
    }

    /**
     * The named class that code belongs to: lambdas and anonymous classes are part of the class around them.
     *
     * @param binaryName such as {@code dev.observatory.NightRun$$Lambda/0x1} or {@code dev.observatory.NightRun$1}
     * @return such as {@code dev.observatory.NightRun}
     */
    public static String named(String binaryName) {
        int hidden = binaryName.indexOf("$$");
        String name = hidden < 0 ? binaryName : binaryName.substring(0, hidden);
        return name.replaceAll("\\$\\d.*", "");
    }

    /**
     * Which names are asked for.
     *
     * @param wanted names with commas between them, in which a star matches anything; blanks around a name do not count
     * @return a pattern that a wanted name matches as a whole
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
