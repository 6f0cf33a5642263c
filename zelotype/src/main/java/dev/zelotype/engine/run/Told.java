package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.CallRecord.Ending;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.Capture;
import java.lang.reflect.InvocationTargetException;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind one double: what it is told, and how it answers. Calls may come from any thread.
 */
public final class Told extends Participant {

    private final SceneState scene;
    private final @Nullable Object real;
    private final MethodState[] states;
    private final Object self;

    Told(String name, Making making, SceneState scene) {
        super(name, making.kind(), making.type());
        this.scene = scene;
        this.real = making.real();
        this.states = new MethodState[making.type().methodCount()];
        this.self = making.instance(this);
    }

    @Override
    public Object self() {
        return self;
    }

    public SceneState scene() {
        return scene;
    }

    /** The state of a method; made at its first use, since most methods of most doubles are never called. */
    MethodState state(DoubledMethod method) {
        MethodState state = states[method.index()];
        return state == null ? newState(method) : state;
    }

    private synchronized MethodState newState(DoubledMethod method) {
        MethodState state = states[method.index()];
        if (state == null) {
            state = new MethodState(new MethodLog(this, method));
            states[method.index()] = state;
        }
        return state;
    }

    /** The state of a method if it was ever called or told anything. */
    @Nullable
    MethodState knownState(int index) {
        return states[index];
    }

    @Override
    public @Nullable Object apply(Object index, Object @Nullable [] passed) {
        DoubledMethod method = doubleClass().method((Integer) index);
        Object[] arguments = passed == null ? CallPattern.NO_ARGUMENTS : passed;
        Capture capture = Capture.current();
        if (capture != null) {
            return capture.called(this, method, arguments);
        }
        try {
            return method.ofObject() ? answerOfObject(method, arguments) : answer(method, arguments);
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        }
    }

    private @Nullable Object answer(DoubledMethod method, Object[] arguments) throws Throwable {
        MethodState state = state(method);
        CallRecord call = scene.record(state.log(), arguments);
        try {
            Supposition told = state.expectations().length == 0
                    ? null
                    : scene.expectations().meet(this, state, call, arguments);
            boolean expected = told != null;
            if (told == null || !told.answers()) {
                Supposition supposed = state.covering(arguments);
                told = supposed == null ? told : supposed;
            }
            if (told != null) {
                return answerAsTold(told, expected, method, call, arguments);
            }
            return answerUntold(method, call, arguments);
        } catch (Throwable e) {
            if (call != null && call.ending() == Ending.RUNNING) {
                call.end(Ending.THREW, e);
            }
            throw e;
        }
    }

    private @Nullable Object answerAsTold(
            Supposition told, boolean expected, DoubledMethod method, @Nullable CallRecord call, Object[] arguments)
            throws Throwable {
        if (call != null) {
            call.account();
        }
        if (!told.answers()) {
            return end(
                    call,
                    Ending.DEFAULTED,
                    EmptyValues.of(method, self, doubleClass().doubledType()));
        }
        Step step = told.next();
        Object answer = step.take(this, method, arguments, told.pattern());
        return end(call, step.isReal() ? Ending.REAL : Ending.ANSWERED, answer);
    }

    private @Nullable Object answerUntold(DoubledMethod method, @Nullable CallRecord call, Object[] arguments)
            throws Throwable {
        if (real != null) {
            return end(call, Ending.REAL, runReal(method, arguments));
        }
        switch (kind().unconfigured()) {
            case EMPTY:
                return end(
                        call,
                        Ending.DEFAULTED,
                        EmptyValues.of(method, self, doubleClass().doubledType()));
            case OWN_CODE:
                if (method.hasCode()) {
                    return end(call, Ending.REAL, doubleClass().runOwnCode(method, self, arguments));
                }
                throw scene.refuse(call, Refusals.notImplemented(this, method, arguments));
            default:
                throw scene.refuse(call, Refusals.unexpected(this, method, call, arguments));
        }
    }

    private static @Nullable Object end(@Nullable CallRecord call, Ending how, @Nullable Object answer) {
        if (call != null) {
            call.end(how, answer);
        }
        return answer;
    }

    private @Nullable Object answerOfObject(DoubledMethod method, Object[] arguments) throws Throwable {
        MethodState state = states[method.index()];
        Supposition told = state == null ? null : state.covering(arguments);
        if (told != null) {
            return told.next().take(this, method, arguments, told.pattern());
        } else if (kind().unconfigured() == Kind.Unconfigured.OWN_CODE && hasOwnCode(method)) {
            return doubleClass().runOwnCode(method, self, arguments);
        }
        return switch (method.name()) {
            case "equals" -> self == arguments[0];
            case "hashCode" -> System.identityHashCode(self);
            default -> name();
        };
    }

    private static boolean hasOwnCode(DoubledMethod method) {
        return method.hasCode() && method.method().getDeclaringClass() != Object.class;
    }

    boolean hasReal(DoubledMethod method) {
        return real != null || method.hasCode();
    }

    /** Runs the real object's code, or the doubled type's own on this double. */
    @Nullable
    Object runReal(DoubledMethod method, Object[] arguments) throws Throwable {
        if (real == null) {
            return doubleClass().runOwnCode(method, self, arguments);
        }
        try {
            method.method().setAccessible(true);
            return method.method().invoke(real, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }
}
