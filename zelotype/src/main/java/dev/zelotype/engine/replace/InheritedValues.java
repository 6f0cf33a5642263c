package dev.zelotype.engine.replace;

import java.lang.ref.Reference;
import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import org.jspecify.annotations.Nullable;

/**
 * The values of other threads in inheritable thread-local variables. The JVM only shows them to the thread itself, so
 * this reads its internal classes, which an agent is allowed to.
 */
final class InheritedValues {

    private InheritedValues() {}

    /** The value of a thread; null if it has none, or if this JVM does not allow access. */
    static @Nullable Object of(Thread thread, InheritableThreadLocal<?> variable) {
        try {
            Replacing.openToUs(Thread.class);
            Field map = Thread.class.getDeclaredField("inheritableThreadLocals");
            map.setAccessible(true);
            Object values = map.get(thread);
            if (values == null) {
                return null;
            }
            Field table = values.getClass().getDeclaredField("table");
            table.setAccessible(true);
            // Not with the map's own search: that removes stale entries, in a map that its thread may be changing.
            for (Object entry : (Object[]) table.get(values)) {
                if (entry instanceof Reference<?> reference && reference.get() == variable) {
                    Field value = entry.getClass().getDeclaredField("value");
                    value.setAccessible(true);
                    return value.get(entry);
                }
            }
            return null;
        } catch (ReflectiveOperationException | InaccessibleObjectException e) {
            // Only a warning is lost: what the thread runs cannot be determined.
            return null;
        }
    }
}
