package dev.zelotype.engine.make;

/**
 * What belongs to Zelotype itself, told by name as in a stack trace: its calls are nobody's subject's.
 */
public final class Ours {

    private static final String ROOT = "dev.zelotype.";

    private Ours() {}

    public static boolean has(String className) {
        if (MadeNames.isMade(className)) {
            return true;
        }
        int rest = ROOT.length();
        return className.startsWith(ROOT)
                && (className.startsWith("engine.", rest)
                        || className.indexOf('.', rest) < 0
                        || className.startsWith("stage.", rest)
                        || className.startsWith("call.", rest)
                        || className.startsWith("doubles.", rest)
                        || className.startsWith("error.", rest)
                        || className.startsWith("host.", rest)
                        || className.startsWith("challenge.", rest)
                        || className.startsWith("junit.", rest)
                        || className.startsWith("journal.", rest));
    }
}
