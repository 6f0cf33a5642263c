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

    /** Services visible to this library's own loader, and to the context loader of the first thread. */
    private static final List<Unwrapper> ALL = ServiceLoader.load(Unwrapper.class).stream()
            .map(ServiceLoader.Provider::get)
            .toList();

    private Unwrapping() {}

    /** The participant for an object, or for the object behind it; null if there is none. */
    public static @Nullable Participant participantBehind(@Nullable Object object) {
        Object inner = object;
        Participant known = DoubleClass.participantOf(inner);
        for (int depth = 0; depth < DEEPEST && inner != null && known == null; depth++) {
            Object next = unwrapped(inner);
            if (next == inner) {
                return null;
            }
            inner = next;
            known = DoubleClass.participantOf(inner);
        }
        return known;
    }

    /** The object behind all proxies. */
    public static Object innermost(Object object) {
        Object inner = object;
        Object next = unwrapped(inner);
        for (int depth = 1; depth < DEEPEST && next != inner; depth++) {
            inner = next;
            next = unwrapped(inner);
        }
        return next;
    }

    private static Object unwrapped(Object object) {
        Object next = object;
        for (Unwrapper each : ALL) {
            next = each.unwrap(next);
        }
        return next;
    }
}
