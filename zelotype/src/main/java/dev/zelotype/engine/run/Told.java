package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.CallRecord.Ending;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.Capture;
import dev.zelotype.engine.weave.Guard;
import java.lang.invoke.MethodHandle;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind one double: what it is told, and how it answers. Calls may come from any thread.
 */
public final class Told extends Participant {

    /** What becomes of an object whose constructor is replaced by nothing in particular. */
    static final Object HOLLOW = new Object();

    private final SceneState scene;
    private final @Nullable Object real;
    private final MethodState[] states;
    private volatile boolean watched;
    private final Object self;

    Told(String baseName, int number, Making making, SceneState scene) {
        super(baseName, number, making.kind(), making.type());
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
            state = new MethodState(new MethodLog(this, method, scene.ownerThread()));
            states[method.index()] = state;
        }
        return state;
    }

    /** The states of the methods that were ever called or told anything. */
    List<MethodState> knownStates() {
        List<MethodState> known = new ArrayList<>();
        for (MethodState state : states) {
            if (state != null) {
                known.add(state);
            }
        }
        return known;
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
        CallRecord call = scene.record(state.log(), arguments, doubleClass().isWoven());
        try {
            Supposition told = statementFor(state, call, arguments);
            return told == null ? answerUntold(method, call, arguments) : answerAsTold(told, method, call, arguments);
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /** The statement that speaks of a call: an expectation that is met, or else, and for its answer, a supposition. */
    private @Nullable Supposition statementFor(MethodState state, @Nullable CallRecord call, Object[] arguments) {
        Supposition told =
                state.expectations().length == 0 ? null : scene.expectations().meet(this, state, call, arguments);
        if (told != null && call != null) {
            call.expect();
        }
        if (told == null || !told.answers()) {
            Supposition supposed = state.covering(arguments);
            told = supposed == null ? told : supposed;
        }
        if (told != null && call != null) {
            call.account();
        }
        return told;
    }

    private static void threw(@Nullable CallRecord call, Throwable thrown) {
        if (call != null && call.ending() == Ending.RUNNING) {
            call.end(Ending.THREW, thrown);
        }
    }

    private @Nullable Object answerAsTold(
            Supposition told, DoubledMethod method, @Nullable CallRecord call, Object[] arguments) throws Throwable {
        if (!told.answers()) {
            return end(
                    call,
                    Ending.DEFAULTED,
                    EmptyValues.of(method, self, doubleClass().doubledType()));
        }
        Step step = told.next();
        Object answer = doubleClass().isWoven()
                ? Guard.outside(() -> step.take(this, method, arguments, told.pattern()))
                : step.take(this, method, arguments, told.pattern());
        return end(call, step.isReal() ? Ending.REAL : Ending.ANSWERED, answer);
    }

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor is to run; else what answers for the new object, or {@link #HOLLOW} for nobody
     */
    @Nullable
    Object construct(DoubledMethod constructor, Object[] arguments) throws Throwable {
        MethodState state = state(constructor);
        CallRecord call = scene.record(state.log(), arguments, true);
        try {
            Supposition told = statementFor(state, call, arguments);
            Step step = told == null ? null : told.next();
            if (told == null || step != null && step.isReal()) {
                end(call, Ending.REAL, null);
                return null;
            }
            Object answer = step == null
                    ? HOLLOW
                    : Guard.outside(() -> step.take(this, constructor, arguments, told.pattern()));
            end(call, Ending.ANSWERED, null);
            return answer == null ? HOLLOW : answer;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    private @Nullable Object answerUntold(DoubledMethod method, @Nullable CallRecord call, Object[] arguments)
            throws Throwable {
        boolean hollow = method.takesInstance() && Replacements.isHollow(arguments[0]);
        if (real != null && !hollow) {
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

    /** Hears of all calls of the class from now on, not only of those that a statement speaks of. */
    void watch() {
        watched = true;
    }

    /** Whether calls of a method are heard of: always for a double, for a replaced class if somebody asked for it. */
    boolean hears(DoubledMethod method) {
        MethodState state = states[method.index()];
        return !(real instanceof Class) || watched || state != null && state.isTold();
    }

    /** Notes a call that the real code answers, which nobody sees the end of. */
    void recordOnly(DoubledMethod method, Object[] arguments) {
        end(scene.record(state(method).log(), arguments, true), Ending.PASSED_ON, null);
    }

    /** Whether a statement of the test covers a call. */
    boolean isTold(DoubledMethod method, Object[] arguments) {
        MethodState state = states[method.index()];
        if (state == null) {
            return false;
        }
        for (Expectation expectation : state.expectations()) {
            if (expectation.covers(arguments)) {
                return true;
            }
        }
        return state.covering(arguments) != null;
    }

    private @Nullable Object answerOfObject(DoubledMethod method, Object[] arguments) throws Throwable {
        MethodState state = states[method.index()];
        Supposition told = state == null ? null : state.covering(arguments);
        if (told != null) {
            return told.next().take(this, method, arguments, told.pattern());
        } else if (kind().unconfigured() == Kind.Unconfigured.OWN_CODE && hasOwnCode(method)) {
            return doubleClass().runOwnCode(method, self, arguments);
        } else if (real != null && doubleClass().isWoven()) {
            return runReal(method, arguments);
        }
        return switch (method.name()) {
            case "equals" -> self == arguments[0];
            case "hashCode" -> System.identityHashCode(self);
            default -> name();
        };
    }

    private static boolean hasOwnCode(DoubledMethod method) {
        return method.hasCode() && method.executable().getDeclaringClass() != Object.class;
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
        if (doubleClass().isWoven()) {
            return runWoven(method, arguments);
        }
        try {
            method.executable().setAccessible(true);
            return ((Method) method.executable()).invoke(real, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    /** Lets the call through the head of its own woven method. */
    private @Nullable Object runWoven(DoubledMethod method, Object[] arguments) throws Throwable {
        Object target = method.takesInstance() ? arguments[0] : real;
        Object[] own = method.takesInstance() ? Arrays.copyOfRange(arguments, 1, arguments.length) : arguments;
        // Found while the guard still holds, since finding it may call woven methods of the JDK.
        MethodHandle code = doubleClass().ownCode(method);
        return Guard.outside(() -> {
            Guard.let(method.executable());
            return (Object) code.invokeExact(target, own);
        });
    }
}
