package dev.zelotype.engine.weave;

import org.jspecify.annotations.Nullable;

/**
 * Lets calls of woven methods pass to the real code.
 */
public final class Guard {

    private static final ThreadLocal<Object> LET = new ThreadLocal<>();

    private Guard() {}

    /** Lets the next call of a method on this thread pass to the real code. */
    public static void let(Object method) {
        LET.set(method);
    }

    /** Whether a call may pass; this applies only to the next one. */
    static boolean lets(Object method) {
        @Nullable Object let = LET.get();
        if (!method.equals(let)) {
            return false;
        }
        LET.remove();
        return true;
    }
}
