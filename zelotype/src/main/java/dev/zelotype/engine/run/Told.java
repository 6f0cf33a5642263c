package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.CallRecord.Ending;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.Reading;
import dev.zelotype.engine.weave.Guard;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandle;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind one double: what it is told, and how it answers. Calls may come from any thread.
 */
public final class Told extends Participant {

    /** What becomes of an object whose constructor is replaced by nothing in particular. */
    static final Object HOLLOW = new Object();

    private final SceneState scene;
    private final @Nullable Object real;
    private final Part ownPart;
    private volatile boolean watched;
    private final Object self;

    Told(String baseName, int number, Making making, SceneState scene) {
        super(baseName, number, making.kind(), making.type());
        this.scene = scene;
        this.real = making.real();
        this.ownPart = new Part(this, scene);
        this.self = making.instance(this);
    }

    @Override
    public Object self() {
        return self;
    }

    /** The scene that the double was made in. */
    public SceneState scene() {
        return scene;
    }

    /** What the double is told and asked in the scene that it was made in. */
    Part ownPart() {
        return ownPart;
    }

    /** What it is told and asked in the scene to which a call on this thread belongs. */
    private Part partOfCall() {
        return scene.isOpenScene() && !Seat.anyNested() ? ownPart : part(scene.ofCall());
    }

    /** What it is told and asked in the scene in which a statement on this thread is made. */
    Part partOfStatement() {
        return part(scene.ofStatement());
    }

    /** The part that keeps a log. */
    Part partOf(MethodLog log) {
        return log.keeper() instanceof Part part ? part : ownPart;
    }

    private Part part(SceneState of) {
        return of == scene ? ownPart : of.part(this);
    }

    @Override
    public @Nullable Object apply(Object index, Object @Nullable [] passed) {
        DoubledMethod method = doubleClass().method((Integer) index);
        Object[] arguments = passed == null ? CallPattern.NO_ARGUMENTS : passed;
        if (Reading.here() && !method.ofObject()) {
            throw Reading.refusal(this, method);
        }
        try {
            return method.ofObject() ? answerOfObject(method, arguments) : answer(method, arguments);
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        }
    }

    private @Nullable Object answer(DoubledMethod method, Object[] arguments) throws Throwable {
        Part part = partOfCall();
        MethodState state = part.state(method);
        CallRecord call = part.scene().record(state.log(), arguments, asksItself(method));
        Supposition told = null;
        try {
            told = statementFor(part, state, call, arguments);
            return told == null
                    ? answerUntold(part, method, call, arguments)
                    : answerAsTold(told, method, call, arguments);
        } catch (StackOverflowError e) {
            Throwable explained = Recursion.explain(this, method, told, e);
            threw(call, explained);
            throw explained;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /** Whether the called method itself stands on the stack, since it asked. */
    private boolean asksItself(DoubledMethod method) {
        return doubleClass().isWoven() ? method.asksItself() : doubleClass().isFinal(method);
    }

    /** The statement that speaks of a call: an expectation that is met, or else, and for its answer, a supposition. */
    private @Nullable Supposition statementFor(
            Part part, MethodState state, @Nullable CallRecord call, Object[] arguments) {
        Supposition told = null;
        for (Part each = part; each != null && told == null; each = each == ownPart ? null : each.beneath()) {
            MethodState its = each == part ? state : each.state(state.log().method());
            told = its.expectations().length == 0
                    ? null
                    : each.scene().expectations().meet(part, its, call, arguments);
        }
        if (told != null && call != null) {
            call.expect();
        }
        if (told == null || !told.answers()) {
            Supposition supposed = part == ownPart
                    ? state.covering(arguments)
                    : part.covering(state.log().method(), arguments);
            told = supposed == null ? told : supposed;
        }
        if (told != null) {
            if (call != null) {
                call.account();
            } else {
                state.log().accountCounted();
            }
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
            return end(call, Ending.DEFAULTED, emptyValue(method));
        }
        Step step = told.next();
        Object answer = doubleClass().isWoven() || doubleClass().isFinal(method)
                ? Guard.outside(() -> step.take(this, method, arguments, told.pattern()))
                : step.take(this, method, arguments, told.pattern());
        return end(call, step.isReal() ? Ending.REAL : Ending.ANSWERED, answer);
    }

    /** What a call answers of which nobody said what to answer. */
    @Nullable
    Object emptyValue(DoubledMethod method) {
        return EmptyValues.of(method, self, doubleClass().doubledType());
    }

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor is to run; else what answers for the new object, or {@link #HOLLOW} for nobody
     */
    @Nullable
    Object construct(DoubledMethod constructor, Object[] arguments) throws Throwable {
        Part part = partOfCall();
        MethodState state = part.state(constructor);
        CallRecord call = part.scene().record(state.log(), arguments, false);
        try {
            Supposition told = statementFor(part, state, call, arguments);
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

    private @Nullable Object answerUntold(
            Part part, DoubledMethod method, @Nullable CallRecord call, Object[] arguments) throws Throwable {
        boolean hollow = method.takesInstance() && Replacements.isHollow(arguments[0]);
        if (real != null && !hollow) {
            return end(call, Ending.REAL, runReal(method, arguments));
        }
        switch (kind().unconfigured()) {
            case EMPTY:
                if (method.isDefault() && isReachable(method)) {
                    return end(call, Ending.REAL, doubleClass().runOwnCode(method, self, arguments));
                }
                return end(call, Ending.DEFAULTED, emptyValue(method));
            case OWN_CODE:
                if (method.hasCode()) {
                    return end(call, Ending.REAL, runOwn(method, arguments));
                }
                throw part.scene().refuse(call, Refusals.notImplemented(this, method, arguments));
            case REFUSED:
                throw part.scene().refuse(call, Refusals.unexpected(part, method, call, arguments));
        }
        throw new IllegalStateException("A kind of double has no rule: " + kind());
    }

    /** Whether the JVM lets us run the code of a default method, which it does not for interfaces of closed modules. */
    private boolean isReachable(DoubledMethod method) {
        try {
            doubleClass().ownCode(method);
            return true;
        } catch (MisuseException e) {
            return false;
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
        return !(real instanceof Class) || watched || ownPart.isTold(method);
    }

    /** Notes a call that the real code answers, which nobody sees the end of. */
    void recordOnly(DoubledMethod method, Object[] arguments) {
        end(scene.record(ownPart.state(method).log(), arguments, method.asksItself()), Ending.PASSED_ON, null);
    }

    /** Whether a statement of the test covers a call. */
    boolean isTold(DoubledMethod method, Object[] arguments) {
        return ownPart.isTold(method, arguments);
    }

    private @Nullable Object answerOfObject(DoubledMethod method, Object[] arguments) throws Throwable {
        Supposition told = partOfCall().covering(method, arguments);
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
            return runOwn(method, arguments);
        }
        if (doubleClass().isWoven() && !method.isConstructor()) {
            return runWoven(method, arguments);
        }
        try {
            method.executable().setAccessible(true);
            return method.executable() instanceof Constructor<?> constructor
                    ? Guard.outside(() -> constructor.newInstance(arguments))
                    : ((Method) method.executable()).invoke(real, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    /** Runs the doubled type's own code; a final method, which asks before it runs, is let through. */
    private @Nullable Object runOwn(DoubledMethod method, Object[] arguments) throws Throwable {
        if (!doubleClass().isFinal(method)) {
            return doubleClass().runOwnCode(method, self, arguments);
        }
        MethodHandle code = doubleClass().ownCode(method);
        return Guard.outside(() -> {
            Guard.let(method.executable());
            return (Object) code.invokeExact(self, arguments);
        });
    }

    /** Lets the call through the head of its own woven method. */
    private @Nullable Object runWoven(DoubledMethod method, Object[] arguments) throws Throwable {
        Object target = method.takesInstance() ? arguments[0] : real;
        Object[] own = method.takesInstance() ? Arrays.copyOfRange(arguments, 1, arguments.length) : arguments;
        // Found while the guard still holds, since finding it may call woven methods of the JDK.
        MethodHandle code = doubleClass().ownCode(method);
        return Guard.outside(() -> {
            if (method.asksItself()) {
                Guard.let(method.executable());
            }
            return (Object) code.invokeExact(target, own);
        });
    }
}
