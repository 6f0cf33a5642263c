package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.Shapes;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Says what some calls answer: a queue of answers of which the last one stays. It takes effect with its first answer.
 */
public class Supposition extends Statement {

    private static final Step[] NONE = {};

    private final AtomicInteger taken = new AtomicInteger();
    private volatile Step[] steps = NONE;
    private volatile boolean used;

    Supposition(String verb, CallPattern pattern) {
        super(verb, pattern);
        refuseIfClosed();
    }

    public static Supposition of(Serializable shape) {
        Supposition statement = new Supposition("suppose", read(shape, true));
        if (!statement.told().kind().canBeSupposed()) {
            throw new MisuseException(
                    statement.told().name() + " is a " + statement.told().kind().word()
                            + ": any call of it fails, so it answers nothing.",
                    "make it a stub");
        }
        if (statement.pattern().method().isConstructor()) {
            // Complete as it is: the new object does not run its real constructor.
            statement.takeEffect();
        } else {
            statement.told().scene().begun(statement, "say what it answers, such as .returns(...)");
        }
        return statement;
    }

    public final void returns(Object first, Object... more) {
        add(value(first));
        for (Object next : more) {
            add(value(next));
        }
    }

    private Step value(Object value) {
        DoubledMethod method = pattern().method();
        if (method.isConstructor() && DoubleClass.participantOf(value) == null) {
            throw new MisuseException(
                    "The answer of " + this + " is no double: a constructor makes a new object, and can only"
                            + " let a double answer for it.",
                    "return a double, such as stub(" + method.returnType().getSimpleName() + ".class)");
        }
        if (!Answers.fits(value, method.returnType())) {
            throw new MisuseException(
                    "The answer of " + this + " does not fit: " + Answers.misfit(value, method.returnType()) + ".",
                    "return a value of the method's own type");
        }
        return new Step.Value(value);
    }

    public final void fails(Throwable failure) {
        if (failure == null) {
            throw new MisuseException("The exception of " + this + " is null.", "give the exception to throw");
        }
        DoubledMethod method = pattern().method();
        if (!method.canThrow(failure)) {
            throw new MisuseException(
                    this + " cannot fail with " + failure.getClass().getSimpleName()
                            + ": the method does not declare this checked exception.",
                    "use an unchecked exception" + declared(method));
        }
        add(new Step.Failing(failure));
    }

    private static String declared(DoubledMethod method) {
        Class<?>[] types = method.executable().getExceptionTypes();
        return types.length == 0 ? "" : ", or one of those that it does: " + Values.print(types);
    }

    public final void runs(Serializable shape) {
        if (shape == null) {
            throw new MisuseException("The answer of " + this + " is null.", "give a lambda, or .returns(null)");
        }
        pattern().refuseUnlessAllFreeHere();
        add(new Step.Running(shape, line()));
    }

    public final void doesNothing() {
        add(new Step.Value(null));
    }

    public final void returnsFrom(Map<?, ?> table) {
        Map<?, ?> copy = new HashMap<>(table);
        copy.values().forEach(this::value);
        narrow(pattern().where("the table lists it", free -> copy.containsKey(Shapes.tuple(free))));
        add(new Step.Lookup(copy));
    }

    public final void callsReal() {
        if (!told().hasReal(pattern().method())) {
            throw new MisuseException(
                    this + " cannot call real code: the method is abstract and there is no real object.",
                    !pattern().method().hasCode()
                            ? "say what it answers, or make the double with spy(realObject)"
                            : "say what it answers");
        }
        add(new Step.Real());
    }

    private synchronized void add(Step step) {
        Step[] longer = Arrays.copyOf(steps, steps.length + 1);
        longer[steps.length] = step;
        boolean first = steps.length == 0;
        steps = longer;
        if (first) {
            fix();
            told().scene().completed(this);
            if (!pattern().method().isConstructor()) {
                takeEffect();
            }
        }
    }

    /** Makes the double heed this statement. */
    void takeEffect() {
        told().state(pattern().method()).suppose(this);
        told().scene().supposed(this);
    }

    /** Whether there is an answer, as a mere expectation need not have one. */
    final boolean answers() {
        return steps.length > 0;
    }

    /** The answer whose turn it is. */
    final @Nullable Step next() {
        Step[] now = steps;
        used = true;
        if (now.length == 0) {
            return null;
        }
        if (now.length == 1) {
            return now[0];
        }
        int turn = taken.getAndUpdate(n -> n < now.length - 1 ? n + 1 : n);
        return now[Math.min(turn, now.length - 1)];
    }

    /** The value of the answer to come, if it is a plain value; for chains. */
    final @Nullable Object plainValue() {
        Step[] now = steps;
        return now.length > 0 && now[now.length - 1] instanceof Step.Value value ? value.value() : null;
    }

    final boolean used() {
        return used;
    }

    @Override
    Count count() {
        return Count.ANY;
    }

    @Override
    int found() {
        return used ? 1 : 0;
    }

    @Override
    @Nullable
    Order order() {
        return null;
    }
}
