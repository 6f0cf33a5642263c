package dev.zelotype.engine.pattern;

import java.lang.invoke.MethodType;
import java.lang.reflect.Array;
import org.jspecify.annotations.Nullable;

/**
 * What a pattern says about one argument.
 */
public interface ArgumentRule {

    /** Whether an argument is covered; {@code free} takes up what the free parameters stand for. */
    boolean covers(@Nullable Object argument, Object[] free);

    /** Any value: it becomes the value of a free parameter. */
    record Free(int parameter, Class<?> type) implements ArgumentRule {

        /** Marks a parameter of which no argument has been seen yet; a parameter used twice must be the same twice. */
        static final Object OPEN = new Object();

        /** Whether every value that a parameter of a method can have is covered, as none was widened on the way. */
        boolean coversAll(Class<?> declared) {
            return !declared.isPrimitive()
                    || MethodType.methodType(declared).wrap().returnType() == type;
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            Object value = Numbers.narrow(argument, type);
            if (value == null && argument != null) {
                return false;
            }
            if (free[parameter] == OPEN) {
                free[parameter] = value;
                return true;
            }
            return Equality.same(free[parameter], value);
        }
    }

    /** A free parameter that has been given a value, which the argument must equal. */
    record Bound(Free free, @Nullable Object value) implements ArgumentRule {

        @Override
        public boolean covers(@Nullable Object argument, Object[] values) {
            Object narrowed = Numbers.narrow(argument, free.type());
            return Equality.same(value, narrowed) && free.covers(argument, values);
        }
    }

    /** A value that the argument must equal. */
    record Literal(@Nullable Object value) implements ArgumentRule {

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            return Equality.same(value, argument);
        }
    }

    /** A rule for each element of an array, as the compiler makes one of variable arguments. */
    record Elements(ArgumentRule[] rules) implements ArgumentRule {

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            if (argument == null || Array.getLength(argument) != rules.length) {
                return false;
            }
            for (int i = 0; i < rules.length; i++) {
                if (!rules[i].covers(Array.get(argument, i), free)) {
                    return false;
                }
            }
            return true;
        }
    }
}
