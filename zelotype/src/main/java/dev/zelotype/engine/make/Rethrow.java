package dev.zelotype.engine.make;

/**
 * Throws undeclared exceptions, as a doubled method may.
 */
public final class Rethrow {

    private Rethrow() {}

    /** Throws the exception unchanged; declared to return one, so that callers can write {@code throw}. */
    @SuppressWarnings("unchecked")
    public static <X extends Throwable> RuntimeException rethrow(Throwable thrown) throws X {
        throw (X) thrown;
    }
}
