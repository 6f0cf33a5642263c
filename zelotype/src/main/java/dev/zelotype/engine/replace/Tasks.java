package dev.zelotype.engine.replace;

import dev.zelotype.engine.make.InPlace;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * Runs tasks in their scenes: a task that is passed to a pool, a timer or a future inside a scene runs in that scene,
 * on whatever thread. Called by the tasks of the JDK while any scene replaces something.
 */
final class Tasks implements BiFunction<Object, Object, @Nullable Object> {

    private static final Seat NOWHERE = new Seat();

    private final InPlace<Seat> places = new InPlace<>();
    private final ThreadLocal<Deque<Entered>> entered = new ThreadLocal<>();

    /** A running task, and the previous place of its thread. */
    private record Entered(Object task, @Nullable Seat before) {}

    @Override
    public @Nullable Object apply(Object what, @Nullable Object task) {
        if (task == null) {
            return null;
        }
        switch ((String) what) {
            case "born" -> born(task);
            case "enter" -> enter(task);
            case "exit" -> exit(task);
            default -> throw new IllegalArgumentException("Nothing known happens to a task: " + what);
        }
        return null;
    }

    private void born(Object task) {
        Seat here = Seat.here();
        ReplacingScene scene = Seat.ofThread();
        if (scene == null || scene.carriesTasks()) {
            places.put(task, here == null ? NOWHERE : here);
        }
    }

    private void enter(Object task) {
        Seat place = places.get(task);
        Seat before = Seat.here();
        if (place == null || place == before) {
            return;
        }
        Deque<Entered> running = entered.get();
        if (running == null) {
            running = new ArrayDeque<>();
            entered.set(running);
        }
        running.push(new Entered(task, before));
        Seat.sit(place == NOWHERE ? null : place.ofTask());
    }

    private void exit(Object task) {
        Deque<Entered> running = entered.get();
        Entered last = running == null ? null : running.peek();
        if (last != null && last.task() == task) {
            running.pop();
            if (running.isEmpty()) {
                entered.remove();
            }
            Seat.sit(last.before());
        }
    }
}
