package dev.zelotype.basics;

import java.util.Set;

/**
 * What led to a failure, without what must not be shown: its type and message as text, its own causes, and its frames.
 */
final class MaskedCause extends Exception {

    private static final long serialVersionUID = 1L;

    private final String text;

    /** A copy without the hidden; of its kin, those that were met already are not followed again. */
    MaskedCause(Throwable real, Set<Throwable> met) {
        super(Mask.apply(String.valueOf(real.getMessage())));
        met.add(real);
        text = Mask.apply(real.toString());
        setStackTrace(real.getStackTrace());
        Throwable cause = real.getCause();
        if (cause != null && !met.contains(cause)) {
            initCause(new MaskedCause(cause, met));
        }
        for (Throwable beside : real.getSuppressed()) {
            if (!met.contains(beside)) {
                addSuppressed(new MaskedCause(beside, met));
            }
        }
    }

    @Override
    public String toString() {
        return text;
    }
}
