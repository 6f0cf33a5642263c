package dev.zelotype.engine.explain;

import dev.zelotype.engine.weave.Guard;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * Whether this thread is just putting a value into words. That runs the value's own code, and what it asks of doubles or of
 * replaced methods is no call of the subject.
 */
public final class Printing {

    private static final AtomicInteger ACTIVE = new AtomicInteger();
    private static final ThreadLocal<Boolean> HERE = new ThreadLocal<>();

    private Printing() {}

    public static boolean here() {
        return ACTIVE.get() != 0 && HERE.get() != null;
    }

    static String print(Supplier<String> printing) {
        if (HERE.get() != null) {
            return printing.get();
        }
        ACTIVE.incrementAndGet();
        HERE.set(true);
        boolean guarded = Guard.enter(Printing.class);
        try {
            return printing.get();
        } finally {
            if (guarded) {
                Guard.leave();
            }
            HERE.remove();
            ACTIVE.decrementAndGet();
        }
    }
}
