package dev.zelotype.engine.make;

import dev.zelotype.doubles.Unwrapper;
import java.util.List;
import java.util.ServiceLoader;
import org.jspecify.annotations.Nullable;

/**
 * Finds doubles behind the proxies of frameworks, for statements.
 */
public final class Unwrapping {

    private static final int DEEPEST = 10;

    /** Those that this library's own loader sees, and those of the thread that speaks first. */
    private static final List<Unwrapper> ALL = ServiceLoader.load(Unwrapper.class).stream()
            .map(ServiceLoader.Provider::get)
            .toList();

    private Unwrapping() {}

    /** What records for an object, or for the one behind it; null if no double stands there. */
    public static @Nullable Participant participantBehind(@Nullable Object object) {
        return DoubleClass.participantOf(behind(object));
    }

    /** What stands behind all proxies in front of it. */
    public static Object innermost(Object object) {
        Object inner = object;
        for (int depth = 0; depth < DEEPEST; depth++) {
            Object next = inner;
            for (Unwrapper each : ALL) {
                next = each.unwrap(next);
            }
            if (next == inner) {
                return inner;
            }
            inner = next;
        }
        return inner;
    }

    /** The double behind an object; the object itself if there is none. */
    public static @Nullable Object behind(@Nullable Object object) {
        Object inner = object;
        for (int depth = 0; depth < DEEPEST && inner != null && DoubleClass.participantOf(inner) == null; depth++) {
            Object next = inner;
            for (Unwrapper each : ALL) {
                next = each.unwrap(next);
            }
            if (next == inner) {
                return object;
            }
            inner = next;
        }
        return DoubleClass.participantOf(inner) == null ? object : inner;
    }
}
