package dev.zelotype.engine.replace;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * A place in a scene, for the thread that opens it, for threads started from there, and for tasks created there. It is
 * cleared when the scene closes, so that threads started in the scene do not keep the scene alive. Scenes may close in
 * any order, on any thread.
 */
public final class Seat implements Predicate<Thread> {

    private static final InheritableThreadLocal<Seat> CURRENT = new InheritableThreadLocal<>();
    private static final Set<ReplacingScene> OPEN = ConcurrentHashMap.newKeySet();
    /** How many open scenes are inside another one. */
    private static final AtomicInteger NESTED = new AtomicInteger();

    private static volatile @Nullable ReplacingScene everywhere;

    private volatile @Nullable ReplacingScene scene;
    private volatile @Nullable Seat outer;
    private volatile @Nullable Thread taker;
    private final Standing standing;

    /** The kinds of places. */
    private enum Standing {
        IN_SCENE,
        /** That of a task whose scenes have all closed. */
        LEFT_OVER,
        /** Outside all scenes, for code that must see nothing replaced. */
        APART
    }

    Seat() {
        this(Standing.IN_SCENE);
    }

    private Seat(Standing standing) {
        this.standing = standing;
    }

    /** The innermost open scene of this thread, or else the one that applies everywhere; null if there is none. */
    public static @Nullable ReplacingScene current() {
        Seat seat = CURRENT.get();
        ReplacingScene own = open(seat);
        return own != null || seat != null && seat.standing != Standing.IN_SCENE ? own : everywhere;
    }

    /** The innermost open scene of this thread itself, or null. */
    public static @Nullable ReplacingScene ofThread() {
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

    /** Whether any open scene is inside another one, so that calls may belong to another scene than their doubles. */
    public static boolean anyNested() {
        return NESTED.get() != 0;
    }

    /** The innermost scene if all open scenes in this JVM are nested in one another; else null. */
    public static @Nullable ReplacingScene onlyOpen() {
        for (ReplacingScene one : OPEN) {
            boolean innermost = true;
            for (ReplacingScene other : OPEN) {
                innermost &= other == one || one.seat().isWithin(other.seat());
            }
            if (innermost) {
                return one;
            }
        }
        return null;
    }

    /** All open scenes of this JVM. */
    public static Set<ReplacingScene> allOpen() {
        return OPEN;
    }

    /** Applies a scene to all threads without a scene; returns false if another one does already. */
    static synchronized boolean beEverywhere(ReplacingScene one) {
        ReplacingScene known = everywhere;
        if (known != null && known != one) {
            return false;
        }
        everywhere = one;
        return true;
    }

    /** Takes this thread's place in a scene, nested in its current scene. */
    void take(ReplacingScene entered) {
        scene = entered;
        taker = Thread.currentThread();
        ReplacingScene around = ofThread();
        if (around != null) {
            outer = around.seat();
            NESTED.incrementAndGet();
        }
        OPEN.add(entered);
        CURRENT.set(this);
    }

    void leave(ReplacingScene left) {
        scene = null;
        taker = null;
        OPEN.remove(left);
        if (outer != null) {
            NESTED.decrementAndGet();
        }
        synchronized (Seat.class) {
            if (everywhere == left) {
                everywhere = null;
            }
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

    /**
     * Whether the thread that took this place is the current one: only that has the stack on which its scene was
     * opened.
     */
    boolean isHere() {
        return Thread.currentThread() == taker;
    }

    /** The current place of this thread, to return to with {@link #sit}. */
    static @Nullable Seat here() {
        return CURRENT.get();
    }

    static void sit(@Nullable Seat seat) {
        if (seat == null) {
            CURRENT.remove();
        } else {
            CURRENT.set(seat);
        }
    }

    /** Leaves all scenes, until {@link #sit} is called. */
    static void goApart() {
        CURRENT.set(new Seat(Standing.APART));
    }

    /**
     * The place for a task that was created here and runs now: this one, or one outside all scenes if those of the task
     * have closed.
     */
    Seat ofTask() {
        return open(this) == null && standing == Standing.IN_SCENE ? new Seat(Standing.LEFT_OVER) : this;
    }

    /** Whether this thread runs a task whose scenes have all closed. */
    public static boolean isLeftOverHere() {
        Seat here = CURRENT.get();
        return here != null && here.isLeftOver();
    }

    /** Whether this is the place of a task whose scenes have all closed. */
    boolean isLeftOver() {
        return standing == Standing.LEFT_OVER;
    }

    boolean isApart() {
        return standing == Standing.APART;
    }

    /** The nearest enclosing scene that is still open, or null. */
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

    /** Whether a place is this one or nested in it. */
    boolean has(@Nullable Seat other) {
        return other != null && (other == this || other.isWithin(this));
    }

    /** Whether a thread is here, or in a nested scene. */
    @Override
    public boolean test(Thread thread) {
        return has(of(thread));
    }

    /** The place of any thread, if this JVM allows access. */
    static @Nullable Seat of(Thread thread) {
        return InheritedValues.of(thread, CURRENT) instanceof Seat seat ? seat : null;
    }
}
