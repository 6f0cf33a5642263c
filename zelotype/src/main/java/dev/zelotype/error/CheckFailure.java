package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For whoever reads failures: a failed check: a call is missing, or happened too often, at the wrong time or
 * unexpectedly. If opentest4j is on the class path, as in every run of the JUnit Platform, it is an {@code
 * AssertionFailedError} as well, with the expected call and the closest one for comparison.
 *
 * @since 0.2
 */
public class CheckFailure extends ComparedError {

    private static final long serialVersionUID = 1L;

    /** Not serialized; the message is. */
    private final transient @Nullable FailureDetails details;

    private final transient @Nullable List<CheckFailure> failures;

    /**
     * Makes a failure.
     *
     * @param message what was expected and what happened instead
     * @param cause the cause, or null
     */
    @SuppressWarnings({"exports", "this-escape"})
    public CheckFailure(String message, @Nullable Throwable cause) {
        this(message, cause, FailureDetails.NONE);
    }

    /**
     * Makes a failure with details as values.
     *
     * @param message what was expected and what happened instead
     * @param cause the cause, or null
     * @param details the details
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
     * Makes one failure from several.
     *
     * @param message the combined message
     * @param failures the individual failures
     * @return a failure without details of its own
     */
    public static CheckFailure together(String message, List<CheckFailure> failures) {
        return new CheckFailure(message, null, FailureDetails.NONE, List.copyOf(failures));
    }

    /**
     * Returns the content of the message as values.
     *
     * @return the details; all of them empty if only the message is known, as for several failures at the end of a
     *     scene
     */
    public FailureDetails details() {
        return details == null ? FailureDetails.NONE : details;
    }

    /**
     * Returns the failures that this one combines, as at the end of a scene.
     *
     * <pre>{@code
     * try {
     *     scene.close();
     * } catch (CheckFailure failure) {
     *     failure.failures().forEach(each -> System.out.println(each.details().expected()));
     * }
     * }</pre>
     *
     * @return each with its own details; empty for a single failure
     */
    public List<CheckFailure> failures() {
        return failures == null ? List.of() : failures;
    }
}
