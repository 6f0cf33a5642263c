package dev.zelotype.engine.run;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.MisuseException;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One thing that a call can be told to do.
 */
interface Step {

    /** Answers a call; {@code pattern} tells its free parameters. */
    @Nullable
    Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern) throws Throwable;

    /** Whether the real code answers. */
    default boolean isReal() {
        return false;
    }

    /** Gives a value back. */
    record Value(@Nullable Object value) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern) {
            return value;
        }
    }

    /** Throws. */
    record Failing(Throwable failure) implements Step {

        @Override
        public Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern) throws Throwable {
            throw failure;
        }
    }

    /** Answers with what a lambda makes of the free parameters. */
    record Answering(Shape lambda, @Nullable String line) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern)
                throws Throwable {
            return fitting(lambda.spread(pattern.free(arguments)), told, method, line);
        }
    }

    /** Runs a lambda on the free parameters; the answer is an empty value. */
    record Acting(Shape lambda) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern)
                throws Throwable {
            lambda.spread(pattern.free(arguments));
            return told.emptyValue(method);
        }
    }

    /** Answers with what a lambda makes of the real code and the free parameters. */
    record Surrounding(Around lambda, @Nullable String line) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern)
                throws Throwable {
            Shape real = free -> told.runReal(method, pattern.arguments(arguments, free));
            return fitting(lambda.spread(real, pattern.free(arguments)), told, method, line);
        }
    }

    /** An answer that was worked out, unless the method cannot give it back. */
    private static @Nullable Object fitting(
            @Nullable Object answer, Told told, DoubledMethod method, @Nullable String line) {
        if (method.returnType() != void.class && !Answers.fits(answer, method.returnType())) {
            throw new MisuseException(
                    "The answer computed for " + told.name() + "." + method.name() + " at " + line + " does not fit: "
                            + Answers.misfit(answer, method.returnType()) + ".",
                    "answer with a value of that type");
        }
        return answer;
    }

    /** Looks the free parameters up in a table. */
    record Lookup(Map<?, ?> table, Function<Object[], ?> key) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern) {
            return table.get(key.apply(pattern.free(arguments)));
        }
    }

    /** Runs the real code. */
    record Real() implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern)
                throws Throwable {
            return told.runReal(method, arguments);
        }

        @Override
        public boolean isReal() {
            return true;
        }
    }
}
