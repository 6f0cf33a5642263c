package dev.zelotype.engine.pattern;

import java.lang.reflect.Array;

/**
 * The zero of a primitive type.
 */
public final class Zero {

    private Zero() {}

    public static Object of(Class<?> primitive) {
        return primitive == void.class ? null : Array.get(Array.newInstance(primitive, 1), 0);
    }
}
