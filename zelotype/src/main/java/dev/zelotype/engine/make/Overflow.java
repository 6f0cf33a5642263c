package dev.zelotype.engine.make;

/**
 * Newer JVMs wrap it in another error if the stack is exhausted during a stack walk.
 */
public final class Overflow {

    private Overflow() {}

    /** The stack overflow that an error wraps, else the error itself. */
    public static Error in(InternalError error) {
        for (Throwable cause = error; cause != null; cause = cause.getCause()) {
            if (cause instanceof StackOverflowError overflow) {
                return overflow;
            }
        }
        return error;
    }
}
