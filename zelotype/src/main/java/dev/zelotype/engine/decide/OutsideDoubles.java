package dev.zelotype.engine.decide;

import java.lang.ref.WeakReference;
import java.util.ArrayDeque;
import java.util.Deque;
import org.jspecify.annotations.Nullable;

/**
 * The doubles that were made outside any scene lately, as by the fields of a test class before its scene opens: until
 * they are told or asked something, no scene knows them. Kept only for who disturbs. Safe for use from any thread.
 */
public final class OutsideDoubles {

    private static final int MOST = 1_000;
    private static final Deque<WeakReference<DoubleState>> NEWEST_FIRST = new ArrayDeque<>();
    private static volatile boolean kept;

    private OutsideDoubles() {}

    /** From now on they are kept, or not any more. */
    public static void keep(boolean wanted) {
        kept = wanted;
    }

    /** One was made. */
    public static void note(DoubleState made) {
        if (kept) {
            synchronized (NEWEST_FIRST) {
                NEWEST_FIRST.addFirst(new WeakReference<>(made));
                if (NEWEST_FIRST.size() > MOST) {
                    NEWEST_FIRST.removeLast();
                }
            }
        }
    }

    /** The newest of a name and a type; null if there is none. */
    static @Nullable DoubleState find(String name, String type) {
        synchronized (NEWEST_FIRST) {
            for (WeakReference<DoubleState> each : NEWEST_FIRST) {
                DoubleState made = each.get();
                if (made != null && made.isCalled(name, type)) {
                    return made;
                }
            }
            return null;
        }
    }
}
