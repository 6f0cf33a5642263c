package dev.zelotype.engine.claim;

import dev.zelotype.basics.Zero;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Access;
import dev.zelotype.engine.make.Callbacks;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;

/**
 * Makes the call that a claim is about, of either side, and notes all that becomes of it.
 */
final class Caller {

    /** A future that nobody completes says nothing. */
    private static final long PATIENCE_SECONDS = 5;

    private Caller() {}

    /** Asks a double, given as what stands behind it, or a real object. */
    static Reaction call(DoubledMethod method, Object[] example, @Nullable Object target) {
        List<String> callbacks = new ArrayList<>();
        List<Object> written = new ArrayList<>();
        Object[] arguments = example.clone();
        Class<?>[] types = method.executable().getParameterTypes();
        int shift = arguments.length - types.length;
        for (int i = shift; i < arguments.length; i++) {
            arguments[i] = watched(arguments[i], types[i - shift], method.parameterName(i), callbacks, written);
        }
        try {
            return new Reaction(awaited(invoke(method, target, arguments)), null, callbacks, written);
        } catch (MisuseException e) {
            throw e;
        } catch (Throwable e) {
            return new Reaction(null, e, callbacks, written);
        }
    }

    private static @Nullable Object invoke(DoubledMethod method, @Nullable Object target, Object[] arguments)
            throws Throwable {
        if (target instanceof Participant stub) {
            return stub.apply(method.index(), arguments);
        }
        Access.open(method.executable());
        try {
            Method called = (Method) method.executable();
            if (method.takesInstance()) {
                return called.invoke(arguments[0], Arrays.copyOfRange(arguments, 1, arguments.length));
            }
            return called.invoke(Modifier.isStatic(called.getModifiers()) ? null : target, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    /** An argument whose calls and changes are noted: one that can be called, or an array. */
    private static @Nullable Object watched(
            @Nullable Object argument, Class<?> type, String name, List<String> callbacks, List<Object> written) {
        if (argument != null && argument.getClass().isArray()) {
            Object copy = copy(argument);
            written.add(copy);
            return copy;
        }
        if (!Callbacks.isOne(type)) {
            return argument;
        }
        return Callbacks.standingFor(type, argument, name, (called, passed) -> {
            List<String> texts = new ArrayList<>();
            for (Object each : passed) {
                texts.add(Values.print(each));
            }
            callbacks.add(name + "." + called.getName() + "(" + String.join(", ", texts) + ")");
            return argument == null ? Zero.of(called.getReturnType()) : Callbacks.run(argument, called, passed);
        });
    }

    private static Object copy(Object array) {
        int length = java.lang.reflect.Array.getLength(array);
        Object copy = java.lang.reflect.Array.newInstance(array.getClass().getComponentType(), length);
        System.arraycopy(array, 0, copy, 0, length);
        return copy;
    }

    /** What comes in time: the value of a future, what a stream holds. */
    private static @Nullable Object awaited(@Nullable Object value) throws Throwable {
        Future<?> future = value instanceof CompletionStage<?> stage
                ? stage.toCompletableFuture()
                : value instanceof Future<?> plain ? plain : null;
        if (future == null) {
            return Likeness.settled(value);
        }
        try {
            return Likeness.settled(future.get(PATIENCE_SECONDS, TimeUnit.SECONDS));
        } catch (ExecutionException | CompletionException e) {
            throw e.getCause() == null ? e : e.getCause();
        } catch (TimeoutException e) {
            throw new MisuseException(
                    "A future was not completed within " + PATIENCE_SECONDS + " s, so there is nothing to compare.",
                    "claim one that completes, and give the real object what it needs to complete its own",
                    e);
        }
    }
}
