package dev.zelotype.error;

import org.jspecify.annotations.Nullable;

/**
 * What failures are above {@link CheckFailure}. Where opentest4j is, the engine puts a class in this one's
 * place that extends its error and hands on what is compared.
 */
abstract class ComparedError extends AssertionError {

    private static final long serialVersionUID = 1L;

    /**
     * Makes an error.
     *
     * @param expected what is shown beside the actual value; null for a failure that compares nothing
     * @param actual what is shown beside the expected value; null for a failure that compares nothing
     */
    ComparedError(String message, @Nullable Throwable cause, @Nullable String expected, @Nullable String actual) {
        super(message, cause);
    }
}
