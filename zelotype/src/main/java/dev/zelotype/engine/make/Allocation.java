package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Field;
import org.jspecify.annotations.Nullable;

/**
 * Objects without a constructor call. Stateless.
 */
public final class Allocation {

    /** Null if the JVM lacks the module that provides it. */
    private static final @Nullable MethodHandle ALLOCATE = allocator();

    private Allocation() {}

    /** Called by reflection, because the compiler's warning about the class cannot be suppressed. */
    private static @Nullable MethodHandle allocator() {
        try {
            Class<?> unsafe = Class.forName("sun.misc.Unsafe");
            Field field = unsafe.getDeclaredField("theUnsafe");
            field.setAccessible(true);
            return MethodHandles.lookup()
                    .findVirtual(unsafe, "allocateInstance", MethodType.methodType(Object.class, Class.class))
                    .bindTo(field.get(null));
        } catch (ReflectiveOperationException e) {
            return null;
        }
    }

    /**
     * Makes an object without running a constructor: its fields are null, zero and false.
     *
     * @param type its class
     * @return the object
     * @throws InstantiationException if the class is abstract
     * @throws MisuseException if this JVM lacks the required module
     */
    public static Object allocate(Class<?> type) throws InstantiationException {
        if (ALLOCATE == null) {
            throw new MisuseException(
                    "No double can be made here: this JVM lacks the module jdk.unsupported.",
                    "add it to the run-time image (jlink --add-modules jdk.unsupported), or start the JVM with"
                            + " --add-modules jdk.unsupported");
        }
        try {
            return (Object) ALLOCATE.invokeExact(type);
        } catch (InstantiationException | RuntimeException | Error e) {
            throw e;
        } catch (Throwable e) {
            throw new IllegalStateException("No object of " + type + " could be made.", e);
        }
    }
}
