package dev.zelotype.engine.decide.facts;

import dev.zelotype.basics.Boxes;
import dev.zelotype.engine.explain.Values;
import org.jspecify.annotations.Nullable;

/**
 * Whether a method can return a value.
 */
public final class ReturnTypes {

    private ReturnTypes() {}

    public static boolean fits(@Nullable Object value, Class<?> type) {
        if (value == null) {
            return !type.isPrimitive();
        }
        return Boxes.of(type).isInstance(value);
    }

    public static String misfit(@Nullable Object value, Class<?> type) {
        String wanted = Values.typeName(type);
        return value == null
                ? "null cannot be returned from a method that returns " + wanted
                : "expected " + article(wanted) + " " + wanted + ", but was "
                        + article(Values.typeName(value.getClass())) + " " + Values.typeName(value.getClass()) + " ("
                        + Values.print(value) + ")";
    }

    private static String article(String word) {
        return "aeiouAEIOU".indexOf(word.charAt(0)) < 0 ? "a" : "an";
    }
}
