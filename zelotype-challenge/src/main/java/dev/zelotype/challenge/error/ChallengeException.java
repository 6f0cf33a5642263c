package dev.zelotype.challenge.error;

import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: the tests cannot be challenged. The message says why, and what to do.
 *
 * @since 0.2
 */
public final class ChallengeException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /**
     * Makes an exception.
     *
     * @param message what is wrong, and what to do
     */
    public ChallengeException(String message) {
        this(message, null);
    }

    /**
     * Makes an exception.
     *
     * @param message what is wrong, and what to do
     * @param cause what led to it
     */
    public ChallengeException(String message, @Nullable Throwable cause) {
        super(message, cause);
    }
}
