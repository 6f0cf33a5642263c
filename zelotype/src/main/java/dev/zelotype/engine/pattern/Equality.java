package dev.zelotype.engine.pattern;

import java.util.Arrays;

/**
 * When two arguments count as the same: by {@code equals}, arrays by content.
 */
public final class Equality {

    private Equality() {}

    public static boolean same(Object expected, Object actual) {
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
}
