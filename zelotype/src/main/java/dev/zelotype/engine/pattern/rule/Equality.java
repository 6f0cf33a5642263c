package dev.zelotype.engine.pattern.rule;

import dev.zelotype.engine.make.Unrecorded;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Equality of arguments: by {@code equals}, arrays by content. Calls made by {@code equals} are not recorded.
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
            return sameArrays(expected, actual, new IdentityHashMap<>());
        }
        if (isPlain(expected)) {
            return expected.equals(actual);
        }
        boolean entered = Unrecorded.enter();
        try {
            return expected.equals(actual);
        } catch (StackOverflowError e) {
            // Collections that contain themselves: only the same object is equal.
            return false;
        } finally {
            Unrecorded.leave(entered);
        }
    }

    /** Whether comparing runs only code of the JDK on the value itself. */
    private static boolean isPlain(Object value) {
        return value instanceof String
                || value instanceof Integer
                || value instanceof Long
                || value instanceof Boolean
                || value instanceof Enum
                || value instanceof Double
                || value instanceof Character
                || value instanceof Class;
    }

    /**
     * Compares element by element, whatever the declared type of the elements.
     *
     * @param comparing what is being compared already, because an array may contain itself
     */
    private static boolean sameArrays(Object expected, Object actual, Map<Object, Object> comparing) {
        if (!(expected instanceof Object[] all)) {
            return expected.getClass() == actual.getClass()
                    && Arrays.deepEquals(new Object[] {expected}, new Object[] {actual});
        }
        if (!(actual instanceof Object[] others) || all.length != others.length) {
            return false;
        }
        if (comparing.put(expected, actual) == actual) {
            return true;
        }
        for (int i = 0; i < all.length; i++) {
            boolean arrays = all[i] != null && all[i].getClass().isArray() && others[i] != null;
            if (!(arrays ? all[i] == others[i] || sameArrays(all[i], others[i], comparing) : same(all[i], others[i]))) {
                return false;
            }
        }
        comparing.remove(expected);
        return true;
    }

    /** Whether a class defines equality; otherwise only the same object is equal. */
    public static boolean isDefinedBy(Class<?> type) {
        if (type.isArray()) {
            return true;
        }
        try {
            return type.getMethod("equals", Object.class).getDeclaringClass() != Object.class;
        } catch (NoSuchMethodException e) {
            return false;
        } catch (LinkageError e) {
            // Another method refers to a class that cannot be loaded, so none is listed.
            return true;
        }
    }
}
