package dev.zelotype.engine.replace;

import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Method;
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
            Method find = values.getClass().getDeclaredMethod("getEntry", ThreadLocal.class);
            find.setAccessible(true);
            Object entry = find.invoke(values, variable);
            if (entry == null) {
                return null;
            }
            Field value = entry.getClass().getDeclaredField("value");
            value.setAccessible(true);
            return value.get(entry);
        } catch (ReflectiveOperationException | InaccessibleObjectException e) {
            // Only a warning is lost: what the thread runs cannot be foretold.
            return null;
        }
    }
}
