package dev.zelotype.error;

import org.jspecify.annotations.Nullable;

/**
 * For whoever reads failures: a check did not hold: a call is missing, or happened too often, at the wrong time or
 * without being expected.
 */
public class CheckFailure extends AssertionError {

    private static final long serialVersionUID = 1L;

    /**
     * Makes a failure.
     *
     * @param message what was expected and what happened instead
     * @param cause what led to it, or null
     */
    @SuppressWarnings({"exports", "this-escape"})
    public CheckFailure(String message, @Nullable Throwable cause) {
        super(Mask.apply(message), Mask.cause(cause));
        Frames.beginOutside(this);
    }
}
