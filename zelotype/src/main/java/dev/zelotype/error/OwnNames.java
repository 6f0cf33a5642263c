package dev.zelotype.error;

/**
 * For Zelotype's own rooms: what belongs to Zelotype itself, told by name as in a stack trace. Stateless.
 *
 * <pre>{@code
 * boolean ours = OwnNames.has(frame.getClassName());
 * }</pre>
 */
public final class OwnNames {

    /** Stands in the name of every class of doubles. */
    public static final String MARK = "$ZelotypeDouble";

    private static final String ROOT = "dev.zelotype.";
    private static final String[] ROOMS = {
        "engine.", "stage.", "call.", "doubles.", "error.", "host.", "junit.", "journal.", "hosts.", "challenge."
    };
    /** How the JDK names its proxies, which some doubles are. */
    private static final String PROXY = "$Proxy";

    private OwnNames() {}

    /**
     * Whether a class is Zelotype's own, or one of doubles: what it calls is called by nobody's subject.
     *
     * @param className the binary name
     * @return true if it is
     */
    public static boolean has(String className) {
        if (className.contains(MARK) || className.startsWith(PROXY, className.lastIndexOf('.') + 1)) {
            return true;
        }
        if (!className.startsWith(ROOT)) {
            return false;
        }
        int rest = ROOT.length();
        // Asked for each frame of the first calls of a scene: no streams, no pieces of text.
        for (String room : ROOMS) {
            if (className.startsWith(room, rest)) {
                return true;
            }
        }
        return className.indexOf('.', rest) < 0;
    }
}
