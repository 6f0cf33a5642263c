package dev.zelotype.engine.make;

import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

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

    /** Code that gives something back. */
    public interface Code<T extends @Nullable Object> {
        T run();
    }

    public static boolean here() {
        return ACTIVE.get() != 0 && HERE.get() != null;
    }

    public static <T extends @Nullable Object> T run(Code<T> code) {
        if (here()) {
            return code.run();
        }
        ACTIVE.incrementAndGet();
        HERE.set(true);
        try {
            return code.run();
        } finally {
            HERE.remove();
            ACTIVE.decrementAndGet();
        }
    }
}
