package dev.zelotype.engine.replace;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * A place in a scene, for the thread that opens it and for threads started from there. It is cleared when the scene closes,
 * so that threads born in the scene do not keep it. Scenes may close in any order, on any thread.
 */
public final class Seat {

    private static final InheritableThreadLocal<Seat> CURRENT = new InheritableThreadLocal<>();
    private static final Set<ReplacingScene> OPEN = ConcurrentHashMap.newKeySet();
    /** How many open scenes stand inside another one. */
    private static final AtomicInteger NESTED = new AtomicInteger();

    private volatile @Nullable ReplacingScene scene;
    private volatile @Nullable Seat outer;

    /** The innermost open scene of this thread, or null. */
    public static @Nullable ReplacingScene current() {
        return open(CURRENT.get());
    }

    private static @Nullable ReplacingScene open(@Nullable Seat innermost) {
        for (Seat seat = innermost; seat != null; seat = seat.outer) {
            ReplacingScene scene = seat.scene;
            if (scene != null) {
                return scene;
            }
        }
        return null;
    }

    /** Whether any open scene stands inside another one, so that calls may belong to another scene than their doubles. */
    public static boolean anyNested() {
        return NESTED.get() != 0;
    }

    /** The only scene that is open in this JVM; null if there are several or none. */
    public static @Nullable ReplacingScene onlyOpen() {
        if (OPEN.size() == 1) {
            for (ReplacingScene only : OPEN) {
                return only;
            }
        }
        return null;
    }

    /** Takes this thread's place in a scene, inside the one that it is in. */
    void take(ReplacingScene entered) {
        scene = entered;
        ReplacingScene around = current();
        if (around != null) {
            outer = around.seat();
            NESTED.incrementAndGet();
        }
        OPEN.add(entered);
        CURRENT.set(this);
    }

    void leave(ReplacingScene left) {
        scene = null;
        OPEN.remove(left);
        if (outer != null) {
            NESTED.decrementAndGet();
        }
        if (CURRENT.get() == this) {
            ReplacingScene around = outer();
            if (around == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(around.seat());
            }
        }
    }

    /** The nearest scene around this place that is still open, or null. */
    public @Nullable ReplacingScene outer() {
        return open(outer);
    }

    public boolean isWithin(Seat other) {
        for (Seat around = outer; around != null; around = around.outer) {
            if (around == other) {
                return true;
            }
        }
        return false;
    }
}
