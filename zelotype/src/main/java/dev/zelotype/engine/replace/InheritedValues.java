package dev.zelotype.engine.replace;

import java.lang.ref.Reference;
import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import org.jspecify.annotations.Nullable;

/**
 * What other threads have in thread-local variables that are inherited. The JVM shows that only to the thread itself,
 * so this looks into its classes, which an agent may do.
 */
final class InheritedValues {

    private InheritedValues() {}

    /** The value that a thread has; null if it has none, or if this JVM does not let it be seen. */
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
            // Not by the map's own search: that tidies up, in a map that its thread may be changing just now.
            for (Object entry : (Object[]) table.get(values)) {
                if (entry instanceof Reference<?> reference && reference.get() == variable) {
                    Field value = entry.getClass().getDeclaredField("value");
                    value.setAccessible(true);
                    return value.get(entry);
                }
            }
            return null;
        } catch (ReflectiveOperationException | InaccessibleObjectException e) {
            // Only a warning is lost: what the thread runs cannot be foretold.
            return null;
        }
    }
}
