package dev.zelotype.engine.make;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Field;

/**
 * Objects without a constructor call.
 */
public final class Allocation {

    private static final MethodHandle ALLOCATE = allocator();

    private Allocation() {}

    /** Reached by reflection, since the compiler warns about the class that offers it and cannot be told not to. */
    private static MethodHandle allocator() {
        try {
            Class<?> unsafe = Class.forName("sun.misc.Unsafe");
            Field field = unsafe.getDeclaredField("theUnsafe");
            field.setAccessible(true);
            return MethodHandles.lookup()
                    .findVirtual(unsafe, "allocateInstance", MethodType.methodType(Object.class, Class.class))
                    .bindTo(field.get(null));
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("This JVM does not offer objects without constructors.", e);
        }
    }

    public static Object allocate(Class<?> type) throws InstantiationException {
        try {
            return (Object) ALLOCATE.invokeExact(type);
        } catch (InstantiationException | RuntimeException | Error e) {
            throw e;
        } catch (Throwable e) {
            throw new IllegalStateException("No object of " + type + " could be made.", e);
        }
    }
}
