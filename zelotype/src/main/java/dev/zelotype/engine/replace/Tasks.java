package dev.zelotype.engine.replace;

import dev.zelotype.engine.make.InPlace;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * Takes the scenes of tasks along: work that is handed to a pool, a timer or a future from inside a scene is done in that
 * scene, on whatever thread. Called by the tasks of the JDK while any scene replaces something.
 */
final class Tasks implements BiFunction<Object, Object, @Nullable Object> {

    /** What a thread that was in no scene goes back to. */
    private static final Object NONE = new Object();

    private static final Seat NOWHERE = new Seat();

    private final InPlace<Seat> places = new InPlace<>();
    private final ThreadLocal<Object> ofPool = new ThreadLocal<>();

    @Override
    public @Nullable Object apply(Object what, Object task) {
        switch ((String) what) {
            case "born" -> born(task);
            case "enter" -> {
                return enter(task);
            }
            case "exit" -> exit(task);
            case "before" -> {
                Object before = enter(task);
                if (before != null && ofPool.get() == null) {
                    ofPool.set(before);
                }
            }
            case "after" -> {
                Object before = ofPool.get();
                if (before != null) {
                    ofPool.remove();
                    exit(before);
                }
            }
            default -> throw new IllegalArgumentException("Nothing known happens to a task: " + what);
        }
        return null;
    }

    private void born(Object task) {
        Seat here = Seat.here();
        ReplacingScene scene = Seat.ofThread();
        if (scene != null && !scene.carriesTasks()) {
            return;
        }
        if (here != null) {
            places.put(task, here);
        } else {
            places.put(task, NOWHERE);
        }
    }

    /** Enters the place of a task; gives what to go back to, or null if nothing changes. */
    private @Nullable Object enter(Object task) {
        Seat place = places.get(task);
        if (place == null) {
            return null;
        }
        Seat before = Seat.here();
        if (before == place) {
            return null;
        }
        Seat.sit(place == NOWHERE ? null : place.ofTask());
        return before == null ? NONE : before;
    }

    private static void exit(Object before) {
        Seat.sit(before == NONE ? null : (Seat) before);
    }
}
