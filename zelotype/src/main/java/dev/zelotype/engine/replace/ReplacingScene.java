package dev.zelotype.engine.replace;

import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Executable;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The side of a scene that replaces classes: who answers for which of them, and on which threads.
 */
public abstract class ReplacingScene {

    private final Seat seat = new Seat();
    private final Map<Class<?>, Participant> replaced = new ConcurrentHashMap<>();
    private final Map<Executable, String> runningCalls = new ConcurrentHashMap<>();
    private final RealRuns realRuns = new RealRuns();

    /** Makes the one who answers for a class as a whole. */
    protected abstract Participant doubleOfClass(Class<?> type, DoubleClass woven);

    /** Takes the place of this thread, and of those started from it. */
    public final void enter() {
        seat.take(this);
    }

    protected final void leave() {
        seat.leave(this);
        Replacing.end(this);
    }

    public final Seat seat() {
        return seat;
    }

    /** The one who answers for a class that this scene replaces, or null. */
    public final @Nullable Participant replaced(Class<?> type) {
        return replaced.isEmpty() ? null : replaced.get(type);
    }

    /** Answers for a class as a whole from now on. */
    final synchronized Participant replace(Class<?> type, DoubleClass woven) {
        Participant known = replaced.get(type);
        if (known == null) {
            known = doubleOfClass(type, woven);
            replaced.put(type, known);
        }
        return known;
    }

    /** Gets calls ready that statements of a test class replace, as long as no method that makes them runs. */
    public final void prepare(List<Executable> named) {
        runningCalls.putAll(Replacing.prepare(named));
    }

    /** Notes calls that run the real code whatever is replaced, because they stand in methods that ran before. */
    final void runReal(Map<Executable, String> places) {
        runningCalls.putAll(places);
    }

    final void refuseIfRunning(Executable replacedOne) {
        String place = runningCalls.get(replacedOne);
        if (place != null) {
            throw new MisuseException(
                    "The call at " + place
                            + " would run the real code: it stands in a method that runs already, and the JVM"
                            + " does not change that any more.",
                    "open the scene before that method begins (with @WithDoubles, or in a @BeforeEach), or put the call into"
                            + " a method of its own");
        }
    }

    final void ranReal(String method) {
        realRuns.add(method);
    }

    /** How often replaced methods ran their real code on threads of no scene, by method and thread. */
    public final Map<String, Integer> realRuns() {
        return realRuns.counts();
    }

    /** The classes that run the real code though this scene replaces what they call, since nobody can change them. */
    public final List<String> unchanged() {
        return Replacing.unchanged(this);
    }

    public final void beEverywhere() {
        Replacing.claimEverywhere(this);
    }
}
