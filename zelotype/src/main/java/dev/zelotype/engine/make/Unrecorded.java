package dev.zelotype.engine.make;

import java.util.concurrent.atomic.AtomicInteger;

/**
 * Whether this thread is matching, comparing or printing something for Zelotype. That runs code of the test and of its
 * values (conditions, {@code equals}, {@code hashCode}, {@code toString}). Calls from this code are answered according
 * to the test's statements, but leave no trace: they are not recorded, meet no expectation, use up no answer, and are
 * never refused.
 */
public final class Unrecorded {

    private static final AtomicInteger ACTIVE = new AtomicInteger();
    private static final ThreadLocal<Boolean> HERE = new ThreadLocal<>();

    private Unrecorded() {}

    public static boolean here() {
        return ACTIVE.get() != 0 && HERE.get() != null;
    }

    /**
     * Starts it, unless this thread is within it already. Used as two calls around the code rather than with a lambda,
     * which keeps the stack of conditions and of {@code toString} short.
     *
     * @return whether it was started; to be passed to {@link #leave} in any case
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
