package dev.zelotype.engine.make;

/**
 * Newer JVMs hide it behind another error when the stack runs out while they walk it.
 */
public final class Overflow {

    private Overflow() {}

    /** The stack overflow that an error hides, else the error itself. */
    public static Error in(InternalError error) {
        for (Throwable cause = error; cause != null; cause = cause.getCause()) {
            if (cause instanceof StackOverflowError overflow) {
                return overflow;
            }
        }
        return error;
    }
}
