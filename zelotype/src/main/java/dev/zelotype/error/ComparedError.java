package dev.zelotype.error;

import org.jspecify.annotations.Nullable;

/**
 * The superclass of {@link CheckFailure}. If opentest4j is available, the engine replaces this class by one that
 * extends its error and passes on the compared values.
 */
abstract class ComparedError extends AssertionError {

    private static final long serialVersionUID = 1L;

    /**
     * Makes an error.
     *
     * @param expected the expected value in a comparison; null if the failure has none
     * @param actual the actual value in a comparison; null if the failure has none
     */
    ComparedError(String message, @Nullable Throwable cause, @Nullable String expected, @Nullable String actual) {
        super(message, cause);
    }
}
