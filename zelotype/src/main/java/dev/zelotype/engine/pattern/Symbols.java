package dev.zelotype.engine.pattern;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import java.lang.reflect.Array;
import org.jspecify.annotations.Nullable;

/**
 * The symbols on the reader's stack that replace unknown values. Everything else there is a real value; {@code int}
 * and narrower primitives are {@code Integer}s.
 */
final class Symbols {

    private Symbols() {}

    /**
     * A free parameter of the lambda.
     *
     * @param number its number
     * @param type its type in the pattern's shape
     * @param as its current type: primitive after unboxing, possibly widened
     * @param orNull whether the code allows null for a value class of Kotlin, which it would unbox otherwise
     */
    record Parameter(int number, Class<?> type, Class<?> as, boolean orNull) {

        Parameter(int number, Class<?> type, Class<?> as) {
            this(number, type, as, false);
        }

        /** The number of the continuation of a suspending lambda, which the Kotlin compiler adds. */
        static final int CONTINUATION = -1;
    }

    /** Whether it is a {@code long} or {@code double}, which stack instructions treat as two words. */
    record Wide(Object value) {}

    /** The result of a call of the pattern. */
    record Result(Call call, boolean wide) {}

    /** An object whose constructor has not run yet. */
    static final class Unmade {
        final String type;

        Unmade(String type) {
            this.type = type;
        }
    }

    /** A lambda that the pattern itself creates; really created only if it is run. */
    record NewLambda(MethodCode.Dynamic recipe, Object[] captured) {}

    /** An array that the pattern itself creates; some of its elements may be symbols. */
    static final class NewArray {
        final Object real;
        private Object @Nullable [] symbols;

        NewArray(Class<?> element, int length) {
            real = Array.newInstance(element, length);
        }

        void symbol(int place, @Nullable Object symbol) {
            if (symbols == null) {
                symbols = new Object[Array.getLength(real)];
            }
            symbols[place] = symbol;
        }

        @Nullable
        Object symbol(int place) {
            return symbols == null ? null : symbols[place];
        }

        /** Any symbol in it or in its elements, or null. */
        @Nullable
        Object anySymbol() {
            for (int i = 0; symbols != null && i < symbols.length; i++) {
                Object symbol = symbols[i] instanceof NewArray inner ? inner.anySymbol() : symbols[i];
                if (symbol != null) {
                    return symbol;
                }
            }
            return null;
        }
    }

    /** The receiver of a call. */
    enum Asked {
        A_DOUBLE,
        WHAT_A_CALL_GAVE,
        A_CLASS,
        ANY_INSTANCE
    }

    /**
     * A call that the pattern describes, and never makes.
     *
     * @param asked the kind of receiver
     * @param participant the receiving double; null if the receiver is not a double
     * @param method the double's method; null for another receiver
     * @param owner the type that the code names
     * @param name the method's name, or {@code <init>}
     * @param descriptor the method's descriptor
     * @param rules the rules for its arguments
     * @param before the call whose result receives it, or null
     */
    record Call(
            Asked asked,
            @Nullable Participant participant,
            @Nullable DoubledMethod method,
            Class<?> owner,
            String name,
            String descriptor,
            ArgumentRule[] rules,
            @Nullable Call before) {

        @Override
        public String toString() {
            if (name.equals("<init>")) {
                return "new " + owner.getSimpleName() + "(...)";
            }
            String receiver = participant != null
                    ? participant.name()
                    : before != null ? before.toString().replace("...", "") : owner.getSimpleName();
            return receiver + "." + name + "(...)";
        }
    }

    static boolean isWide(@Nullable Object value) {
        return value instanceof Wide
                || value instanceof Result result && result.wide()
                || value instanceof Parameter parameter
                        && (parameter.as() == long.class || parameter.as() == double.class);
    }

    /** Whether a value is unknown to the reader. */
    static boolean isSymbol(@Nullable Object value) {
        return value instanceof Parameter
                || value instanceof Result
                || value instanceof Unmade
                || value instanceof NewLambda
                || value instanceof NewArray;
    }
}
