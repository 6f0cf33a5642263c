package dev.zelotype.engine.pattern;

import org.jspecify.annotations.Nullable;

/**
 * Numbers that the compiler widened between a lambda's parameter and the method that it calls.
 */
final class Numbers {

    private Numbers() {}

    /** Whether two boxed primitives are the same number. */
    static boolean equal(@Nullable Object a, @Nullable Object b) {
        if (a instanceof Boolean || b instanceof Boolean) {
            return a != null && a.equals(b);
        }
        return isNumber(a) && isNumber(b) && Double.compare(toDouble(a), toDouble(b)) == 0;
    }

    /** A widened argument as the type that the lambda's parameter has; null if it does not fit. */
    static @Nullable Object narrow(@Nullable Object argument, Class<?> type) {
        if (!isNumber(argument) || argument.getClass() == type || !isNumberType(type)) {
            return argument;
        }
        Object narrow = convert(argument, type);
        return equal(narrow, argument) ? narrow : null;
    }

    private static Object convert(Object argument, Class<?> type) {
        double value = toDouble(argument);
        if (type == Byte.class) {
            return (byte) value;
        } else if (type == Short.class) {
            return (short) value;
        } else if (type == Character.class) {
            return (char) value;
        } else if (type == Integer.class) {
            return (int) value;
        } else if (type == Long.class) {
            return argument instanceof Number number ? number.longValue() : (long) value;
        } else if (type == Float.class) {
            return (float) value;
        }
        return value;
    }

    private static boolean isNumberType(Class<?> type) {
        return type == Byte.class
                || type == Short.class
                || type == Character.class
                || type == Integer.class
                || type == Long.class
                || type == Float.class
                || type == Double.class;
    }

    static boolean isNumber(@Nullable Object value) {
        return value != null && isNumberType(value.getClass());
    }

    private static double toDouble(Object number) {
        return number instanceof Character c ? c : ((Number) number).doubleValue();
    }
}
