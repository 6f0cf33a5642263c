package dev.zelotype.engine.make;

/**
 * How a class of doubles is recognised by its name alone, as in a stack trace.
 */
public final class MadeNames {

    static final String MARK = "$ZelotypeDouble";
    /** How the JDK names its proxies, which some doubles are. */
    private static final String PROXY = "$Proxy";

    private MadeNames() {}

    public static boolean isMade(String className) {
        return className.contains(MARK) || className.startsWith(PROXY, className.lastIndexOf('.') + 1);
    }
}
