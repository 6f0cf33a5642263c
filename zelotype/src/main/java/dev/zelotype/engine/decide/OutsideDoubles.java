package dev.zelotype.engine.decide;

import java.lang.ref.WeakReference;
import java.util.ArrayDeque;
import java.util.Deque;
import org.jspecify.annotations.Nullable;

/**
 * The doubles that were recently made outside any scene, for example by fields of a test class: no scene knows them
 * before their first statement or call. Recorded only for disturbers. Safe for use from any thread.
 */
public final class OutsideDoubles {

    private static final int MOST = 1_000;
    private static final Deque<WeakReference<DoubleState>> NEWEST_FIRST = new ArrayDeque<>();
    private static volatile boolean kept;

    private OutsideDoubles() {}

    /** Starts or stops recording them. */
    public static void keep(boolean wanted) {
        kept = wanted;
    }

    /** Records one. */
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

    /** The newest one with a name and a type; null if there is none. */
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
