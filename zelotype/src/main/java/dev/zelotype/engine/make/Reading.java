package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Whether this thread is computing a value for a pattern: that code must not call doubles, because such a call would
 * belong neither to the subject nor to the pattern.
 */
public final class Reading {

    private static final AtomicInteger ACTIVE = new AtomicInteger();
    private static final ThreadLocal<Boolean> HERE = new ThreadLocal<>();

    private Reading() {}

    /** Code that may throw anything. */
    public interface Code {
        @Nullable
        Object run() throws Throwable;
    }

    public static boolean here() {
        return ACTIVE.get() != 0 && HERE.get() != null;
    }

    public static @Nullable Object compute(Code code) throws Throwable {
        boolean within = HERE.get() != null;
        ACTIVE.incrementAndGet();
        HERE.set(true);
        try {
            return code.run();
        } finally {
            ACTIVE.decrementAndGet();
            if (!within) {
                HERE.remove();
            }
        }
    }

    /**
     * Starts to read a pattern, possibly while a value for another pattern is computed.
     *
     * @return the previous state, to be passed to {@link #goBack}
     */
    public static boolean goApart() {
        boolean within = HERE.get() != null;
        if (within) {
            HERE.remove();
        }
        return within;
    }

    /** Restores the state from before {@link #goApart}. */
    public static void goBack(boolean within) {
        if (within) {
            HERE.set(true);
        }
    }

    /** The message about a call of a double by code that only computes a value. */
    public static MisuseException refusal(Participant participant, DoubledMethod method) {
        return new MisuseException(
                "This pattern runs real code that calls " + participant.name() + "." + method.name() + "(...).",
                "call the double itself in the pattern, and compute its arguments before the statement");
    }
}
