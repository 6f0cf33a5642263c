package dev.zelotype.engine.pattern.rule;

import dev.zelotype.basics.Boxes;
import java.lang.reflect.Array;
import org.jspecify.annotations.Nullable;

/**
 * The condition of a pattern on one argument.
 */
public interface ArgumentRule {

    /** Whether an argument is covered; {@code free} receives the values of the free parameters. */
    boolean covers(@Nullable Object argument, Object[] free);

    /** Whether another rule has the same condition. */
    boolean means(ArgumentRule other);

    /**
     * Any value of a type: it becomes the value of a free parameter.
     *
     * @param parameter the parameter's number
     * @param type the parameter's type
     * @param passedAs the type of the argument: the same, or the wrapper class of the primitive type that it is widened
     *     to
     * @param orNull whether null is such a value, although the argument has another type
     */
    record Free(int parameter, Class<?> type, Class<?> passedAs, boolean orNull) implements ArgumentRule {

        /** A parameter that allows null if it has the type of the argument. */
        public Free(int parameter, Class<?> type, Class<?> passedAs) {
            this(parameter, type, passedAs, false);
        }

        /** Marks a parameter without an argument so far; a parameter that is used twice must have equal arguments. */
        static final Object OPEN = new Object();

        @Override
        public boolean means(ArgumentRule other) {
            return equals(other);
        }

        /** Whether every possible value of a method's parameter is covered. */
        boolean coversAll(Class<?> declared) {
            return type == passedAs && type.isAssignableFrom(Boxes.of(declared));
        }

        /** A value of the parameter, converted for the call. */
        @Nullable
        Object passed(@Nullable Object value) {
            return value == null || !isWidened() ? value : Widening.convert(value, passedAs);
        }

        private boolean isWidened() {
            return type != passedAs;
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            Object known = free[parameter];
            if (known != OPEN && isWidened()) {
                return known == null
                        ? orNull && argument == null
                        : Equality.same(Widening.convert(known, passedAs), argument);
            }
            if (argument == null ? isWidened() && !orNull : !passedAs.isInstance(argument)) {
                return false;
            }
            Object value = isWidened() && argument != null ? Widening.undo(argument, type) : argument;
            if (value == null && argument != null) {
                return false;
            }
            if (known == OPEN) {
                free[parameter] = value;
                return true;
            }
            return Equality.same(known, value);
        }
    }

    /** A free parameter with a fixed value, which the argument must equal in the argument's own type. */
    record Bound(Free free, @Nullable Object value) implements ArgumentRule {

        @Override
        public boolean means(ArgumentRule other) {
            return other instanceof Bound bound && bound.free.equals(free) && Equality.same(bound.value, value);
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] values) {
            if (!Equality.same(free.passed(value), argument)) {
                return false;
            }
            values[free.parameter()] = value;
            return true;
        }
    }

    /** A value that the argument must equal. */
    record Literal(@Nullable Object value) implements ArgumentRule {

        @Override
        public boolean means(ArgumentRule other) {
            return other instanceof Literal literal && Equality.same(literal.value, value);
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            return Equality.same(value, argument);
        }
    }

    /** The continuation of a suspending Kotlin call: any, because the compiler adds it. */
    record Passed() implements ArgumentRule {

        @Override
        public boolean means(ArgumentRule other) {
            return other instanceof Passed;
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            return true;
        }
    }

    /** A rule for each element of an array, as the compiler creates one for variable arguments. */
    record Elements(ArgumentRule[] rules) implements ArgumentRule {

        @Override
        public boolean means(ArgumentRule other) {
            if (!(other instanceof Elements elements) || elements.rules.length != rules.length) {
                return false;
            }
            for (int i = 0; i < rules.length; i++) {
                if (!rules[i].means(elements.rules[i])) {
                    return false;
                }
            }
            return true;
        }

        @Override
        public boolean covers(@Nullable Object argument, Object[] free) {
            if (argument == null || !argument.getClass().isArray() || Array.getLength(argument) != rules.length) {
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
