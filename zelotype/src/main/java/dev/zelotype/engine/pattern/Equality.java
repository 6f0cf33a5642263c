package dev.zelotype.engine.pattern;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * When two arguments count as the same: by {@code equals}, arrays by content.
 */
public final class Equality {

    private Equality() {}

    public static boolean same(@Nullable Object expected, @Nullable Object actual) {
        if (expected == actual) {
            return true;
        }
        if (expected == null || actual == null) {
            return false;
        }
        if (expected.getClass().isArray()) {
            return expected.getClass() == actual.getClass()
                    && Arrays.deepEquals(new Object[] {expected}, new Object[] {actual});
        }
        return expected.equals(actual);
    }

    /** Whether a class says itself when its objects are equal; of others only the very same object is. */
    public static boolean isDefinedBy(Class<?> type) {
        if (type.isArray()) {
            return true;
        }
        try {
            return type.getMethod("equals", Object.class).getDeclaringClass() != Object.class;
        } catch (NoSuchMethodException e) {
            return false;
        }
    }
}
