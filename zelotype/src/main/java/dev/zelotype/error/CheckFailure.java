package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import org.jspecify.annotations.Nullable;

/**
 * For whoever reads failures: a check did not hold: a call is missing, or happened too often, at the wrong time or
 * without being expected. Where opentest4j is on the class path, as in every run of the JUnit Platform, it is an
 * {@code AssertionFailedError} as well, with the expected call and the closest one for comparison.
 *
 * @since 0.2
 */
public class CheckFailure extends ComparedError {

    private static final long serialVersionUID = 1L;

    /** Not part of a serialized failure, which is its message. */
    private final transient @Nullable FailureDetails details;

    /**
     * Makes a failure.
     *
     * @param message what was expected and what happened instead
     * @param cause what led to it, or null
     */
    @SuppressWarnings({"exports", "this-escape"})
    public CheckFailure(String message, @Nullable Throwable cause) {
        this(message, cause, FailureDetails.NONE);
    }

    /**
     * Makes a failure with its details as values.
     *
     * @param message what was expected and what happened instead
     * @param cause what led to it, or null
     * @param details the same as values
     */
    @SuppressWarnings({"exports", "this-escape"})
    public CheckFailure(String message, @Nullable Throwable cause, FailureDetails details) {
        super(Mask.apply(message), Mask.cause(cause), details.comparedExpected(), details.comparedActual());
        this.details = details;
        Frames.beginOutside(this);
    }

    /**
     * What the message tells, as values.
     *
     * @return the details; all of them empty if only the message is known, as for several failures at the end of a scene
     */
    public FailureDetails details() {
        return details == null ? FailureDetails.NONE : details;
    }
}
