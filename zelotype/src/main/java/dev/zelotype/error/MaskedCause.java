package dev.zelotype.error;

/**
 * What led to a failure, without what must not be shown: its type and message as text, its own causes, and its frames.
 */
final class MaskedCause extends Exception {

    private static final long serialVersionUID = 1L;

    private final String text;

    MaskedCause(Throwable real) {
        super(Mask.apply(String.valueOf(real.getMessage())), Mask.cause(real.getCause()), true, true);
        text = Mask.apply(real.toString());
        setStackTrace(real.getStackTrace());
        for (Throwable beside : real.getSuppressed()) {
            addSuppressed(Mask.cause(beside));
        }
    }

    @Override
    public String toString() {
        return text;
    }
}
