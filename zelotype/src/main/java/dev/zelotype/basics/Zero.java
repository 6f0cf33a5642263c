package dev.zelotype.basics;

import java.lang.reflect.Array;
import org.jspecify.annotations.Nullable;

/**
 * The default value of a variable of a type.
 */
public final class Zero {

    private Zero() {}

    public static @Nullable Object of(Class<?> type) {
        return type.isPrimitive() && type != void.class ? Array.get(Array.newInstance(type, 1), 0) : null;
    }
}
