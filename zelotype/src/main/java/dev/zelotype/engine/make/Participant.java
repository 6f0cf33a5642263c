package dev.zelotype.engine.make;

import dev.zelotype.doubles.Kind;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * The receiver of a double's calls, which answers them. A double's class refers only to the JDK's function type, so
 * that it can live in any module and any class loader; its methods pass their number and their arguments (null for
 * none).
 */
public abstract class Participant implements BiFunction<Object, Object[], Object> {

    /** The result for a replaced constructor without a particular double. */
    public static final Object BARE = new Object();

    private final String baseName;
    private final boolean isNumbered;
    private volatile @Nullable String name;
    private @Nullable Map<Object, Integer> instances;
    private final Kind kind;
    private final DoubleClass doubleClass;

    /**
     * A participant with a name.
     *
     * @param isNumbered whether its number is part of the name if others before it have the same name
     */
    protected Participant(String baseName, boolean isNumbered, Kind kind, DoubleClass doubleClass) {
        this.baseName = baseName;
        this.isNumbered = isNumbered;
        this.kind = kind;
        this.doubleClass = doubleClass;
    }

    /** Its name in messages; composed on first use, which is rare. */
    public final String name() {
        String known = name;
        if (known == null) {
            int number = isNumbered ? number() : 1;
            known = number == 1 ? baseName : baseName + number;
            name = known;
        }
        return known;
    }

    /** The name that it was given, without a number. */
    public final String baseName() {
        return baseName;
    }

    /** Its number among those that were given the same name, from 1; counted on first use, which is rare. */
    protected abstract int number();

    /**
     * The name in messages of an object of a replaced class, for example {@code SerialLink 1}: objects are numbered in
     * the order of their first call.
     */
    public final String nameOf(Object instance) {
        return name() + " " + count(instance);
    }

    /** The number of an object. */
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

    /** Changes its name. */
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

    /** Whether it receives calls of a method: always for a double; for a replaced class if it is watched. */
    public abstract boolean receives(DoubledMethod method);

    /** Whether a statement of the test covers a call. */
    public abstract boolean isCovered(DoubledMethod method, Object[] arguments);

    /**
     * Answers a call, and evaluates the conditions of the test only once.
     *
     * @param onlyIfTold whether a call that no statement covers is only recorded, and its real code runs unchanged
     * @return the answer in an array; null if the real code must run
     */
    public abstract Object @Nullable [] answer(DoubledMethod method, Object[] arguments, boolean onlyIfCovered);

    /**
     * Records a call that something else answers.
     *
     * @param accounted whether a statement of the test covers the call
     */
    public abstract void noteOnly(DoubledMethod method, Object[] arguments, boolean accounted);

    /**
     * The number of scenes between this thread and its own scene: 0 for the innermost, -1 if the thread is not in it.
     */
    public abstract int distance();

    /** Whether the object itself is the double, rather than a spied object that is real otherwise. */
    public abstract boolean isObjectItself();

    /** Whether it is such a double without a scene, which lives as long as the object. */
    public abstract boolean outlivesScenes();

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor must run; else the participant for the new object, or {@link #BARE} for none
     */
    public abstract @Nullable Object construct(DoubledMethod constructor, Object[] arguments) throws Throwable;
}
