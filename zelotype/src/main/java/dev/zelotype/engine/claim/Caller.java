package dev.zelotype.engine.claim;

import dev.zelotype.basics.Zero;
import dev.zelotype.engine.explain.Times;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Access;
import dev.zelotype.engine.make.Callbacks;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;

/**
 * Makes the call of a claim on either side, and records all its effects.
 */
final class Caller {

    /** The default time to wait for an answer. */
    static final Duration USUAL_LIMIT = Duration.ofSeconds(5);

    private final DoubledMethod method;
    private final Object[] arguments;
    private final List<String> callbacks = new ArrayList<>();
    private final List<Object> written = new ArrayList<>();

    private Caller(DoubledMethod method, Object[] example) {
        this.method = method;
        this.arguments = example.clone();
        Class<?>[] types = method.executable().getParameterTypes();
        int shift = arguments.length - types.length;
        for (int i = shift; i < arguments.length; i++) {
            arguments[i] = watched(arguments[i], types[i - shift], method.parameterName(i));
        }
    }

    /** Calls a double, given its state: it answers immediately. */
    static Reaction callDouble(DoubledMethod method, Object[] example, @Nullable Object target) {
        Reaction reaction = new Caller(method, example).call(target, USUAL_LIMIT);
        if (reaction.late() != null) {
            throw new MisuseException(
                    "A future was not completed within " + Times.text(USUAL_LIMIT)
                            + ", so there is nothing to compare.",
                    "claim one that completes");
        }
        return reaction;
    }

    /**
     * Calls a real object on a separate thread, so that a call that never returns blocks nothing else.
     *
     * @param limit how long to wait for the return value and for callbacks; zero for a call on this thread, without
     *     limit
     * @param callbacks the expected number of callbacks
     */
    static Reaction callReal(
            DoubledMethod method, Object[] example, @Nullable Object target, Duration limit, int callbacks) {
        Caller caller = new Caller(method, example);
        if (limit.isZero()) {
            return caller.withCallbacks(
                    caller.call(target, USUAL_LIMIT), callbacks, System.nanoTime() + USUAL_LIMIT.toNanos());
        }
        FutureTask<Reaction> task = new FutureTask<>(() -> caller.call(target, limit));
        Thread thread = new Thread(task, "claim of " + method.name());
        thread.setDaemon(true);
        long end = System.nanoTime() + limit.toNanos();
        thread.start();
        try {
            Reaction reaction = task.get(limit.toNanos(), TimeUnit.NANOSECONDS);
            return caller.withCallbacks(reaction, callbacks, end);
        } catch (TimeoutException e) {
            thread.interrupt();
            return new Reaction(null, null, caller.heard(), List.of(), limit);
        } catch (InterruptedException e) {
            thread.interrupt();
            Thread.currentThread().interrupt();
            return new Reaction(null, e, caller.heard(), List.of(), null);
        } catch (ExecutionException e) {
            throw Rethrow.rethrow(e.getCause());
        }
    }

    private Reaction call(@Nullable Object target, Duration limit) {
        try {
            return new Reaction(awaited(invoke(method, target, arguments), limit), null, heard(), written, null);
        } catch (TimeoutException e) {
            return new Reaction(null, null, heard(), written, limit);
        } catch (MisuseException e) {
            throw e;
        } catch (Throwable e) {
            return new Reaction(null, e, heard(), written, null);
        }
    }

    private synchronized List<String> heard() {
        return List.copyOf(callbacks);
    }

    private synchronized void hear(String callback) {
        callbacks.add(callback);
        notifyAll();
    }

    /** Callbacks may come later, on other threads. */
    private synchronized Reaction withCallbacks(Reaction reaction, int expected, long end) {
        while (callbacks.size() < expected) {
            long millis = (end - System.nanoTime()) / 1_000_000;
            if (millis <= 0) {
                break;
            }
            try {
                wait(millis);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                break;
            }
        }
        return new Reaction(reaction.value(), reaction.thrown(), heard(), reaction.written(), reaction.late());
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

    /** An argument whose calls and changes are recorded: a functional object or an array. */
    private @Nullable Object watched(@Nullable Object argument, Class<?> type, String name) {
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
            hear(name + "." + called.getName() + "(" + String.join(", ", texts) + ")");
            return argument == null ? Zero.of(called.getReturnType()) : Callbacks.run(argument, called, passed);
        });
    }

    private static Object copy(Object array) {
        int length = java.lang.reflect.Array.getLength(array);
        Object copy = java.lang.reflect.Array.newInstance(array.getClass().getComponentType(), length);
        System.arraycopy(array, 0, copy, 0, length);
        return copy;
    }

    /** What is available in time: the value of a future, the elements of a stream. */
    private static @Nullable Object awaited(@Nullable Object value, Duration limit) throws Throwable {
        Future<?> future = value instanceof CompletionStage<?> stage
                ? stage.toCompletableFuture()
                : value instanceof Future<?> plain ? plain : null;
        if (future == null) {
            return Likeness.settled(value);
        }
        try {
            return Likeness.settled(future.get(limit.toNanos(), TimeUnit.NANOSECONDS));
        } catch (ExecutionException | CompletionException e) {
            throw e.getCause() == null ? e : e.getCause();
        }
    }
}
