package dev.zelotype.engine.decide;

import dev.zelotype.basics.KotlinCode;
import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.ReturnTypes;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Callbacks;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.MisuseException;
import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One possible answer of a call.
 */
public sealed interface Step {

    /** Answers a call; {@code pattern} determines its free parameters. */
    @Nullable
    Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable;

    /** Whether the real code answers. */
    default boolean isReal() {
        return false;
    }

    /** Describes it, as the end of a sentence. */
    default String said() {
        if (this instanceof Value value) {
            return "returns " + Values.print(value.value());
        } else if (this instanceof Failing failing) {
            return "fails with " + Values.print(failing.failure());
        } else if (this instanceof Lookup) {
            return "returns what a table lists";
        } else if (this instanceof Acting) {
            return "does what a lambda does";
        }
        return isReal() ? "calls the real code" : "answers what a lambda makes of it";
    }

    /** Returns a value. */
    record Value(@Nullable Object value) implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) {
            return value;
        }
    }

    /** Throws. */
    record Failing(Throwable failure) implements Step {

        @Override
        public Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable {
            throw failure;
        }
    }

    /** Answers with the result of a lambda for the free parameters. */
    record Answering(Shape lambda, @Nullable String place) implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable {
            return fitting(
                    lambda.spread(withContinuation(call, heard(call, pattern))),
                    owner,
                    call.log().method(),
                    place);
        }
    }

    /** The arguments of a lambda that may suspend like the call: with the continuation of the call. */
    private static @Nullable Object @Nullable [] withContinuation(Call call, @Nullable Object @Nullable [] free) {
        if (free == null || !call.log().method().suspends()) {
            return free;
        }
        Object[] more = Arrays.copyOf(free, free.length + 1);
        more[free.length] = call.arguments()[call.arguments().length - 1];
        return more;
    }

    /** Runs a lambda on the free parameters; the answer is an empty value. */
    record Acting(Shape lambda) implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable {
            lambda.spread(heard(call, pattern));
            return owner.emptyValue(call.log().method());
        }
    }

    /** Answers with the result of a lambda for the real code and the free parameters. */
    record Surrounding(Around lambda, @Nullable String place) implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable {
            Shape real = free -> owner.runReal(call.log().method(), pattern.arguments(call.arguments(), free));
            return fitting(
                    lambda.spread(real, heard(call, pattern)), owner, call.log().method(), place);
        }
    }

    /**
     * The free parameters; a call that is converted to text learns about failures that are passed to its callbacks.
     */
    private static @Nullable Object @Nullable [] heard(Call call, CallPattern pattern) {
        Object[] free = pattern.free(call.arguments());
        Call.Worded worded = call.words();
        for (int i = 0; worded != null && free != null && i < free.length; i++) {
            Object callback = free[i];
            if (callback != null && Callbacks.mayTakeFailure(pattern.freeType(i))) {
                free[i] = Callbacks.standingFor(pattern.freeType(i), callback, null, (method, arguments) -> {
                    for (Object each : arguments) {
                        if (each instanceof Throwable) {
                            worded.failsByCallback();
                        }
                    }
                    return Callbacks.run(callback, method, arguments);
                });
            }
        }
        return free;
    }

    /** A computed answer; an error if the method cannot return it. */
    private static @Nullable Object fitting(
            @Nullable Object computed, DoubleState owner, DoubledMethod method, @Nullable String place) {
        Object answer = KotlinCode.asGiven(computed, method.executable(), method.suspends());
        if (method.returnType() != void.class && !ReturnTypes.fits(answer, method.returnType())) {
            throw new MisuseException(
                    "The answer computed for " + owner.name() + "." + method.name() + " " + place + " does not fit: "
                            + ReturnTypes.misfit(answer, method.returnType()) + ".",
                    "answer with a value of that type");
        }
        return answer;
    }

    /** Looks the free parameters up in a table. */
    record Lookup(Map<?, ?> table, Function<Object[], ?> key) implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) {
            DoubledMethod method = call.log().method();
            return KotlinCode.asGiven(
                    table.get(key.apply(pattern.free(call.arguments()))), method.executable(), method.suspends());
        }
    }

    /** Runs the real code. */
    record Real() implements Step {

        @Override
        public @Nullable Object take(DoubleState owner, Call call, CallPattern pattern) throws Throwable {
            return owner.runReal(call.log().method(), call.arguments());
        }

        @Override
        public boolean isReal() {
            return true;
        }
    }
}
