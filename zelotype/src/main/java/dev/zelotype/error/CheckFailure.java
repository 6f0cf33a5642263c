package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import java.util.List;
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

    private final transient @Nullable List<CheckFailure> failures;

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
        this(message, cause, details, List.of());
    }

    @SuppressWarnings({"exports", "this-escape"})
    private CheckFailure(
            String message, @Nullable Throwable cause, FailureDetails details, List<CheckFailure> failures) {
        super(Mask.apply(message), Mask.cause(cause), details.comparedExpected(), details.comparedActual());
        this.details = details;
        this.failures = failures;
        Frames.beginOutside(this);
    }

    /**
     * Makes one failure of several.
     *
     * @param message what all of them say
     * @param failures each of them
     * @return a failure without details of its own
     */
    public static CheckFailure together(String message, List<CheckFailure> failures) {
        return new CheckFailure(message, null, FailureDetails.NONE, List.copyOf(failures));
    }

    /**
     * What the message tells, as values.
     *
     * @return the details; all of them empty if only the message is known, as for several failures at the end of a scene
     */
    public FailureDetails details() {
        return details == null ? FailureDetails.NONE : details;
    }

    /**
     * The failures that this one tells together, as at the end of a scene.
     *
     * <pre>{@code
     * try {
     *     scene.close();
     * } catch (CheckFailure failure) {
     *     failure.failures().forEach(each -> System.out.println(each.details().expected()));
     * }
     * }</pre>
     *
     * @return each with its own details; empty if it tells only itself
     */
    public List<CheckFailure> failures() {
        return failures == null ? List.of() : failures;
    }
}
