package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.make.Access;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Reading;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.engine.replace.Seat;
import dev.zelotype.engine.weave.Guard;
import java.lang.invoke.MethodHandle;
import java.lang.ref.WeakReference;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The state of one double: it receives its calls, and can answer them. Calls may come from any thread.
 */
public final class DoubleState extends Participant {

    private final CallScene scene;
    private final @Nullable Object real;
    private final Part ownPart;
    /** Whether it answers in its scene only because an enclosing scene started that. */
    private volatile boolean onlyObserves;

    private volatile @Nullable CallPattern origin;
    /** The double; a weak reference if only the double itself may keep this state alive. */
    private final Object self;

    DoubleState(NewDouble order, CallScene scene) {
        super(
                order.name() == null ? order.type().variableName() : order.name(),
                order.name() == null,
                order.kind(),
                order.type());
        this.scene = scene;
        this.real = order.real();
        this.ownPart = new Part(this, scene);
        Object made = order.instance(this);
        this.self = outlivesScenes() ? new WeakReference<>(made) : made;
    }

    @Override
    protected int number() {
        return scene.numberOf(this);
    }

    @Override
    public Object self() {
        Object known = outlivesScenes() ? ((WeakReference<?>) self).get() : self;
        if (known == null) {
            throw new IllegalStateException("The double " + name() + " is gone.");
        }
        return known;
    }

    @Override
    public boolean isObjectItself() {
        return real == null && doubleClass().isWoven();
    }

    @Override
    public boolean outlivesScenes() {
        return isObjectItself() && !scene.isOpenScene();
    }

    /** Marks it as a part of a chain. */
    public void comesOf(CallPattern link) {
        origin = link;
    }

    /** The call of a chain that returns it; null if a test made it. */
    @Nullable
    CallPattern origin() {
        return origin;
    }

    /** Answers in its scene only as long as an enclosing scene has such a double. */
    void observes() {
        onlyObserves = true;
    }

    /** Answers in its own right, because the test makes a statement about it in its scene. */
    public void isSaid() {
        onlyObserves = false;
    }

    boolean onlyObserves() {
        return onlyObserves;
    }

    /** Whether it answers, in its scene, for an object or class that is real elsewhere. */
    boolean isInPlace() {
        return real != null && doubleClass().isWoven();
    }

    /** Whether a spy on an object is that object or a wrapper, as the end of a sentence. */
    public String whatItIs() {
        if (real == null || isOfClass()) {
            return "";
        }
        return isInPlace()
                ? ": the real object itself"
                : ": a wrapper that passes calls on to a real " + VariableNames.simpleName(real.getClass());
    }

    /** Whether it has a name in messages, and a type, by its binary name. */
    boolean isCalled(String name, String type) {
        return name().equals(name) && doubleClass().doubledType().getName().equals(type);
    }

    /** Whether it answers for a class as a whole. */
    public boolean isOfClass() {
        return real instanceof Class && doubleClass().doubledType() == real;
    }

    @Override
    public int distance() {
        if (!isInPlace()) {
            return Integer.MAX_VALUE;
        }
        if (onlyObserves && scene.knownAround(self()) == null) {
            return -1;
        }
        int distance = 0;
        for (CallScene each = (CallScene) Seat.current(); each != null; each = each.outer()) {
            if (each == scene) {
                return distance;
            }
            distance++;
        }
        return -1;
    }

    /** The scene in which the double was made. */
    public CallScene scene() {
        return scene;
    }

    /** The statements and calls of the double in the scene in which it was made. */
    Part ownPart() {
        return ownPart;
    }

    /** The statements and calls of the double in the scene of a call on this thread. */
    Part partOfCall() {
        return scene.isOpenScene() && !Seat.anyNested() ? ownPart : part(scene.ofCall());
    }

    /** The statements and calls of the double in the scene of a statement on this thread. */
    public Part partOfStatement() {
        return part(scene.ofStatement());
    }

    private Part part(CallScene of) {
        return of == scene ? ownPart : of.part(this);
    }

    @Override
    public @Nullable Object apply(Object index, Object @Nullable [] passed) {
        DoubledMethod method = doubleClass().method((Integer) index);
        Object[] arguments = passed == null ? CallPattern.NO_ARGUMENTS : passed;
        try {
            if (method.ofObject()) {
                return answerOfObject(method, arguments);
            }
            if (Reading.here()) {
                throw Reading.refusal(this, method);
            }
            if (Unrecorded.here()) {
                return Decision.unrecorded(partOfCall(), method, arguments);
            }
            return Decision.of(partOfCall().state(method), arguments);
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        }
    }

    /** Whether the called method itself is on the stack, because it calls the engine. */
    boolean isWovenItself(DoubledMethod method) {
        return doubleClass().isWoven() ? method.isWovenItself() : doubleClass().isFinal(method);
    }

    @Override
    public Object @Nullable [] answer(DoubledMethod method, Object[] arguments, boolean onlyIfCovered) {
        if (!onlyIfCovered) {
            return new Object[] {apply(method.index(), arguments)};
        }
        try {
            Part part = partOfCall();
            if (Unrecorded.here()) {
                return Decision.unrecordedIfCovered(part, method, arguments);
            }
            return Decision.ifCovered(part.state(method), arguments);
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        }
    }

    @Override
    public @Nullable Object construct(DoubledMethod constructor, Object[] arguments) throws Throwable {
        if (Unrecorded.here()) {
            return Decision.unrecordedConstruct(partOfCall(), constructor, arguments);
        }
        MethodState state = partOfCall().state(constructor);
        return Decision.construct(state.part().scene().begin(state, arguments));
    }

    /** A new object without a constructor call: a stub if code of the JDK would otherwise use empty fields. */
    Object bare(Class<?> type) {
        return Replacing.runsJdkCode(type)
                ? scene.make(NewDouble.of(Kind.STUB, null, type)).self()
                : BARE;
    }

    /** The default answer of a call. */
    @Nullable
    Object emptyValue(DoubledMethod method) {
        return EmptyValues.of(method, self(), doubleClass().doubledType(), scene);
    }

    /**
     * The suppositions about calls on any instance of a replaced class, if this double is one.
     *
     * @return the answer in an array, or null if there is none
     */
    Object @Nullable [] answerOfClass(DoubledMethod method, Object[] arguments) {
        if (doubleClass().isWoven()) {
            return null;
        }
        for (Class<?> c = doubleClass().doubledType(); c != null; c = c.getSuperclass()) {
            Participant whole = Replacing.nearest(c);
            DoubledMethod its = whole == null ? null : whole.doubleClass().find(method.name(), method.descriptor());
            if (its != null && its.takesInstance()) {
                Object[] all = new Object[arguments.length + 1];
                all[0] = self();
                System.arraycopy(arguments, 0, all, 1, arguments.length);
                return whole.isCovered(its, all) ? new Object[] {whole.apply(its.index(), all)} : null;
            }
        }
        return null;
    }

    @Override
    public boolean receives(DoubledMethod method) {
        return !isOfClass() || ownPart.receives(method);
    }

    @Override
    public void noteOnly(DoubledMethod method, Object[] arguments, boolean accounted) {
        if (Unrecorded.here()) {
            return;
        }
        Part part = partOfCall();
        Call call = part.scene().begin(part.state(method), arguments);
        if (accounted) {
            call.account();
        }
        call.end(Ending.REAL, Call.UNSEEN);
    }

    @Override
    public boolean isCovered(DoubledMethod method, Object[] arguments) {
        return ownPart.isCovered(method, arguments);
    }

    private @Nullable Object answerOfObject(DoubledMethod method, Object[] arguments) throws Throwable {
        Part part = partOfCall();
        Rule rule = part.covering(method, arguments);
        if (rule != null) {
            return rule.next().take(this, part.scene().leaveOut(part.state(method), arguments), rule.pattern());
        } else if (KindRule.of(kind()).unsaid() == KindRule.Unsaid.OWN_CODE && hasOwnCode(method)) {
            return doubleClass().runOwnCode(method, self(), arguments);
        } else if (real != null && doubleClass().isWoven()) {
            return runReal(method, arguments);
        }
        return switch (method.name()) {
            case "equals" -> self() == arguments[0];
            case "hashCode" -> System.identityHashCode(self());
            default -> name();
        };
    }

    private static boolean hasOwnCode(DoubledMethod method) {
        return method.hasCode() && method.executable().getDeclaringClass() != Object.class;
    }

    /** Whether calls without a supposition are passed on to a real object. */
    boolean hasRealObject() {
        return real != null;
    }

    /** Whether there is real code of a method. */
    public boolean hasReal(DoubledMethod method) {
        return real != null || method.hasCode();
    }

    /** Runs the real object's code, or the doubled type's own on this double. */
    @Nullable
    Object runReal(DoubledMethod method, Object[] arguments) throws Throwable {
        if (doubleClass().isWoven() && !method.isConstructor()) {
            return runWoven(method, arguments);
        }
        if (real == null) {
            return runOwn(method, arguments);
        }
        try {
            Access.open(method.executable());
            return method.executable() instanceof Constructor<?> constructor
                    ? constructor.newInstance(arguments)
                    : ((Method) method.executable()).invoke(real, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    /** Runs the doubled type's own code; a woven final method is let through. */
    @Nullable
    Object runOwn(DoubledMethod method, Object[] arguments) throws Throwable {
        if (!doubleClass().isFinal(method)) {
            return doubleClass().runOwnCode(method, self(), arguments);
        }
        MethodHandle code = doubleClass().ownCode(method);
        Guard.let(method.executable());
        return (Object) code.invokeExact(self(), arguments);
    }

    /** Lets the call pass its own woven method. */
    private @Nullable Object runWoven(DoubledMethod method, Object[] arguments) throws Throwable {
        Object target = method.takesInstance() ? arguments[0] : self();
        Object[] own = method.takesInstance() ? Arrays.copyOfRange(arguments, 1, arguments.length) : arguments;
        MethodHandle code = doubleClass().ownCode(method);
        if (method.isWovenItself()) {
            Guard.let(method.executable());
        }
        return (Object) code.invokeExact(target, own);
    }
}
