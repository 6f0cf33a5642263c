package dev.zelotype.engine.decide.facts;

import dev.zelotype.engine.explain.Values;
import java.lang.invoke.MethodType;
import org.jspecify.annotations.Nullable;

/**
 * Whether a value can be what a method gives back.
 */
public final class Fitting {

    private Fitting() {}

    public static boolean fits(@Nullable Object value, Class<?> type) {
        if (value == null) {
            return !type.isPrimitive();
        }
        return MethodType.methodType(type).wrap().returnType().isInstance(value);
    }

    public static String misfit(@Nullable Object value, Class<?> type) {
        return Values.print(value) + (value == null ? "" : " is of " + Values.typeName(value.getClass()) + ", which")
                + " is no " + Values.typeName(type);
    }
}
