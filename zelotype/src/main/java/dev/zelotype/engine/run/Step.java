package dev.zelotype.engine.run;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.Shapes;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.Map;
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

    /** Runs a query or an act on the free parameters. */
    record Running(Serializable shape, @Nullable String line) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern)
                throws Throwable {
            Object answer = Shapes.run(shape, pattern.free(arguments));
            if (method.returnType() != void.class && !Answers.fits(answer, method.returnType())) {
                throw new MisuseException(
                        "The answer computed for " + told.name() + "." + method.name() + " at " + line
                                + " does not fit: " + Answers.misfit(answer, method.returnType()) + ".",
                        "answer with a value of that type");
            }
            return answer;
        }
    }

    /** Looks the free parameters up in a table. */
    record Lookup(Map<?, ?> table) implements Step {

        @Override
        public @Nullable Object take(Told told, DoubledMethod method, Object[] arguments, CallPattern pattern) {
            return table.get(Shapes.tuple(pattern.free(arguments)));
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
