package dev.zelotype.engine.replace;

import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.ObjectNumbers;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.weave.Initializers;
import dev.zelotype.engine.weave.Opening;
import dev.zelotype.engine.weave.WovenMethod;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Executable;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * The part of a scene that replaces classes: which participant answers for which class, and on which threads.
 */
public abstract class ReplacingScene {

    /** The number of answered calls for which a scene checks whether a static initializer makes them. */
    private static final int MOST_SOUGHT = 200;

    private final Seat seat = new Seat();
    private final Map<Class<?>, Participant> replaced = new ConcurrentHashMap<>();
    private final RealRuns realRuns = new RealRuns();
    private final ObjectNumbers numbers = new ObjectNumbers();
    private final AtomicInteger initializersSought = new AtomicInteger();
    private volatile @Nullable Opening opening;

    /** The names in the scene of objects that print as their class and a hash. */
    public final ObjectNumbers numbers() {
        return numbers;
    }

    /** Makes the participant for a class as a whole. */
    protected abstract Participant doubleOfClass(Class<?> type, DoubleClass woven);

    /**
     * Enters the scene on this thread, and on threads started from it.
     *
     * @param byTest whether the test itself opens the scene, rather than its framework
     * @param test the class of the test, if it is known
     */
    protected final void enter(boolean byTest, @Nullable Class<?> test) {
        opening = Opening.here(byTest, test);
        seat.take(this);
    }

    /** The stack on which it was opened. */
    final Opening opening() {
        return opening;
    }

    /** Whether a call was made by the framework that runs the test. */
    final boolean isRunners(WovenMethod call) {
        return seat.isHere() && opening.isRunners(call);
    }

    /** Whether tasks that are passed to a pool belong to the scene. */
    protected abstract boolean carriesTasks();

    /**
     * The class whose static initializer is running; searched only for the first calls of a scene, because that takes
     * long.
     */
    final Initializers.@Nullable Found initializer() {
        return initializersSought.incrementAndGet() > MOST_SOUGHT ? null : Initializers.running();
    }

    /** Records that a class was initialized with the result of a replaced method. */
    protected abstract void initializedWith(Initializers.Found initialized, WovenMethod replaced);

    protected final void leave() {
        seat.leave(this);
        Replacing.end(this);
    }

    public final Seat seat() {
        return seat;
    }

    /** The participant for a class that this scene replaces, or null. */
    public final @Nullable Participant replaced(Class<?> type) {
        return replaced.isEmpty() ? null : replaced.get(type);
    }

    /** Shares the replacements of an enclosing scene; they continue if that one closes first. */
    protected final void takePart() {
        Replacing.takePart(this);
    }

    /** Replaces a class as a whole from now on. */
    protected final synchronized Participant replace(Class<?> type, DoubleClass woven) {
        Participant known = replaced.get(type);
        if (known == null) {
            known = doubleOfClass(type, woven);
            replaced.put(type, known);
        }
        return known;
    }

    /** Prepares the calls that statements of a test class replace, unless a method that makes them is running. */
    protected final void prepare(List<Executable> named) {
        Replacing.prepare(named, this);
    }

    final void refuseIfRunning(Executable replacedOne) {
        String place = Replacing.toCome(replacedOne, this);
        if (place != null) {
            throw new MisuseException(
                    "The call " + place
                            + " would run the real code: it is in a method that is already running, which the JVM"
                            + " can no longer change.",
                    "open the scene before that method begins (with @WithDoubles, or in a @BeforeEach), or put the call into"
                            + " a method of its own");
        }
    }

    final void ranReal(String method, boolean leftOver) {
        realRuns.add(leftOver ? method + ", by work left over from a closed scene," : method);
    }

    /** How often replaced methods ran their real code on threads without a scene, by method and thread. */
    public final Map<String, Integer> realRuns() {
        return realRuns.counts();
    }

    /**
     * The classes that run the real code although this scene replaces what they call, because they cannot be changed.
     */
    public final List<String> unchanged() {
        return Replacing.unchanged(this);
    }

    public final void beEverywhere() {
        if (!Seat.beEverywhere(this)) {
            throw new MisuseException(
                    "Another scene is everywhere already.", "close it first, or run these tests one by one");
        }
    }
}
