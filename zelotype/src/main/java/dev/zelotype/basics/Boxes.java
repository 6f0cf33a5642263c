package dev.zelotype.basics;

import java.util.Map;

/**
 * The classes that box primitive types. A method type can convert these as well, but searches for its form each time.
 */
public final class Boxes {

    private static final Map<Class<?>, Class<?>> OF_PRIMITIVES = Map.of(
            boolean.class, Boolean.class,
            byte.class, Byte.class,
            char.class, Character.class,
            short.class, Short.class,
            int.class, Integer.class,
            long.class, Long.class,
            float.class, Float.class,
            double.class, Double.class,
            void.class, Void.class);

    private Boxes() {}

    /**
     * Returns the class whose objects are values of a type.
     *
     * @param type a type
     * @return its box; any other type itself
     */
    public static Class<?> of(Class<?> type) {
        return OF_PRIMITIVES.getOrDefault(type, type);
    }
}
