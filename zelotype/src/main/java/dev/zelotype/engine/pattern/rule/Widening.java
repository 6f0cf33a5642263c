package dev.zelotype.engine.pattern.rule;

import dev.zelotype.basics.KotlinCode;
import org.jspecify.annotations.Nullable;

/**
 * The results of Java's widening of primitive types, and their inverse.
 */
public final class Widening {

    /** The order in which numbers widen; a {@code char} joins at {@code int}. */
    private static final Class<?>[] NUMBERS = {byte.class, short.class, int.class, long.class, float.class, double.class
    };

    private Widening() {}

    /** Whether values of one primitive type can be widened to another one, or have it already. */
    public static boolean leads(Class<?> from, Class<?> to) {
        if (from == to) {
            return true;
        }
        int target = place(to);
        int source = from == char.class ? place(int.class) : place(from);
        return source >= 0 && target >= source && to != char.class;
    }

    private static int place(Class<?> type) {
        for (int i = 0; i < NUMBERS.length; i++) {
            if (NUMBERS[i] == type) {
                return i;
            }
        }
        return -1;
    }

    /** A wrapped value cast to another primitive type. */
    public static Object convert(Object value, Class<?> box) {
        if (value.getClass() == box || value instanceof Boolean) {
            return value;
        } else if (KotlinCode.heldBy(value.getClass()) != null) {
            return KotlinCode.unboxed(value);
        }
        Number number = value instanceof Character c ? (Number) (int) c : (Number) value;
        if (box == Double.class) {
            return number.doubleValue();
        } else if (box == Float.class) {
            return number.floatValue();
        } else if (box == Long.class) {
            return number.longValue();
        } else if (box == Integer.class) {
            return number.intValue();
        } else if (box == Short.class) {
            return (short) number.intValue();
        } else if (box == Byte.class) {
            return (byte) number.intValue();
        }
        return (char) number.intValue();
    }

    /** The value of a narrower type that was widened to a value; null if there is none. */
    static @Nullable Object undo(Object widened, Class<?> box) {
        if (KotlinCode.heldBy(box) != null) {
            return KotlinCode.boxed(box, widened);
        }
        Object narrow = convert(widened, box);
        return convert(narrow, widened.getClass()).equals(widened) ? narrow : null;
    }
}
