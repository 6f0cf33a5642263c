package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import org.jspecify.annotations.Nullable;

/**
 * For whoever reads failures: Zelotype was used in a way that has no meaning, or that would only look like a check. The
 * message says what is wrong and what to write instead.
 *
 * @since 0.2
 */
public final class MisuseException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /**
     * Makes an exception.
     *
     * @param problem what is wrong
     * @param cure what to do about it
     */
    public MisuseException(String problem, String cure) {
        this(problem, cure, null);
    }

    /**
     * Makes an exception with a cause.
     *
     * @param problem what is wrong
     * @param cure what to do about it
     * @param cause the cause, or null
     */
    @SuppressWarnings("exports")
    public MisuseException(String problem, String cure, @Nullable Throwable cause) {
        super(Mask.apply(problem + "\n  Cure: " + cure), Mask.cause(cause));
        Frames.beginOutside(this);
    }
}
