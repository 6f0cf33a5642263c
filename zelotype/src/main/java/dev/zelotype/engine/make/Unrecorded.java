package dev.zelotype.engine.make;

import java.util.concurrent.atomic.AtomicInteger;

/**
 * Whether this thread is just matching, comparing or printing something for Zelotype. That runs code of the test and of
 * its values (conditions, {@code equals}, {@code hashCode}, {@code toString}). Calls that this code makes are answered
 * as the test says, and leave no trace: they are not recorded, meet no expectation, use up no answer, and are never
 * refused.
 */
public final class Unrecorded {

    private static final AtomicInteger ACTIVE = new AtomicInteger();
    private static final ThreadLocal<Boolean> HERE = new ThreadLocal<>();

    private Unrecorded() {}

    public static boolean here() {
        return ACTIVE.get() != 0 && HERE.get() != null;
    }

    /**
     * Begins it, unless this thread is within it already. Two calls around the code, and no code that is handed over: the
     * stack of a condition or of a {@code toString} stays short.
     *
     * @return whether it began; to be given to {@link #leave} in any case
     */
    public static boolean enter() {
        if (here()) {
            return false;
        }
        ACTIVE.incrementAndGet();
        HERE.set(true);
        return true;
    }

    public static void leave(boolean entered) {
        if (entered) {
            HERE.remove();
            ACTIVE.decrementAndGet();
        }
    }
}
