package dev.zelotype.tools;

import java.util.regex.Pattern;

/**
 * For Zelotype's own tools: names of types as people read them and ask for them. Stateless.
 */
public final class TypeNames {

    private TypeNames() {}

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
     * Which names somebody asks for.
     *
     * @param wanted names with commas between them, in which a star stands for anything; blanks around a name do not count
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
