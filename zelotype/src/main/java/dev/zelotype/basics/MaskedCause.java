package dev.zelotype.basics;

import java.util.Set;

/**
 * The cause of a failure without hidden text: its type and message as text, its own causes, and its frames.
 */
final class MaskedCause extends Exception {

    private static final long serialVersionUID = 1L;

    private final String text;

    /** A masked copy; related exceptions that were seen before are not followed again. */
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
