package dev.zelotype.engine.make;

import dev.zelotype.doubles.Kind;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind a double and answers its calls. A double's class knows only the JDK's function type, so that it can
 * live in any module and any class loader; its methods pass their number and their arguments (null for none).
 */
public abstract class Participant implements BiFunction<Object, Object[], Object> {

    /** What becomes of an object whose constructor is replaced by nothing in particular. */
    public static final Object BARE = new Object();

    private final String baseName;
    private final int number;
    private volatile @Nullable String name;
    private @Nullable Map<Object, Integer> instances;
    private final Kind kind;
    private final DoubleClass doubleClass;

    /** A participant that shares its name with others; from the second on the number is part of the name. */
    protected Participant(String baseName, int number, Kind kind, DoubleClass doubleClass) {
        this.baseName = baseName;
        this.number = number;
        this.kind = kind;
        this.doubleClass = doubleClass;
    }

    /** What messages call it; put together when it is first asked for, as it seldom is. */
    public final String name() {
        String known = name;
        if (known == null) {
            known = number == 1 ? baseName : baseName + number;
            name = known;
        }
        return known;
    }

    /**
     * What messages call one of the objects of a class that is replaced as a whole, such as {@code SerialLink 1}: they are
     * counted as they come.
     */
    public final String nameOf(Object instance) {
        return name() + " " + count(instance);
    }

    /** The place of an object among those that have come so far. */
    public final synchronized int count(Object instance) {
        Map<Object, Integer> known = instances;
        if (known == null) {
            known = new IdentityHashMap<>();
            instances = known;
        }
        Integer place = known.get(instance);
        if (place == null) {
            place = known.size() + 1;
            known.put(instance, place);
        }
        return place;
    }

    /** Calls it something else from now on. */
    public final void rename(String newName) {
        name = newName;
    }

    public final Kind kind() {
        return kind;
    }

    public final DoubleClass doubleClass() {
        return doubleClass;
    }

    /** The double itself. */
    public abstract Object self();

    /** Whether it receives calls of a method: always for a double, for a replaced class if it is watched. */
    public abstract boolean hears(DoubledMethod method);

    /** Whether a statement of the test covers a call. */
    public abstract boolean isTold(DoubledMethod method, Object[] arguments);

    /**
     * Answers a call, and asks the conditions of the test only once.
     *
     * @param onlyIfTold whether a call that no statement covers is only noted, and its real code runs as it came
     * @return the answer in an array; null if the real code is to run
     */
    public abstract Object @Nullable [] answer(DoubledMethod method, Object[] arguments, boolean onlyIfTold);

    /**
     * Notes a call that something else answers.
     *
     * @param accounted whether a statement of the test is about the call
     */
    public abstract void noteOnly(DoubledMethod method, Object[] arguments, boolean accounted);

    /** How many scenes are between this thread and the one that it answers in: 0 for the innermost, -1 if it is in none. */
    public abstract int distance();

    /** Whether it is the double that some object is, and not a spy on an object that is real otherwise. */
    public abstract boolean isObjectItself();

    /** Whether it is such a double and belongs to no scene, so that it goes with the object alone. */
    public abstract boolean outlivesScenes();

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor is to run; else what answers for the new object, or {@link #BARE} for none
     */
    public abstract @Nullable Object construct(DoubledMethod constructor, Object[] arguments) throws Throwable;
}
