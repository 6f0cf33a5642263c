package dev.zelotype.error;

/**
 * For whoever reads failures: an unexpected call of a double. Thrown by the call itself; the scene remembers it, so
 * that the test fails even if the subject swallows it.
 *
 * @since 0.2
 */
public final class UnexpectedCall extends CheckFailure {

    private static final long serialVersionUID = 1L;

    /**
     * Makes a failure.
     *
     * @param message the call, what was expected instead, and what to write if the call is right
     */
    public UnexpectedCall(String message) {
        super(message, null);
    }

    /**
     * Makes a failure with details as values.
     *
     * @param message the call, what was expected instead, and what to write if the call is right
     * @param details the details
     */
    public UnexpectedCall(String message, FailureDetails details) {
        super(message, null, details);
    }
}
