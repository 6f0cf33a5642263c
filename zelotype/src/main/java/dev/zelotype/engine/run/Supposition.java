package dev.zelotype.engine.run;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Says what some calls answer: a queue of answers of which the last one stays. It takes effect with its first answer.
 */
public class Supposition extends Statement {

    private static final Step[] NONE = {};

    private final AtomicInteger taken = new AtomicInteger();
    private volatile Step[] steps = NONE;
    private volatile boolean used;

    Supposition(String verb, Written written) {
        super(verb, written);
    }

    public static Supposition of(Serializable shape) {
        Supposition statement = new Supposition("suppose", read(shape, true));
        if (!statement.told().kind().canBeSupposed()) {
            throw new MisuseException(
                    statement.told().name() + " is a " + statement.told().kind().word()
                            + ": any call of it fails, so it answers nothing.",
                    "make it a stub");
        }
        DoubledMethod method = statement.pattern().method();
        if (method.isConstructor() && Replacements.canBeBare(method.returnType())) {
            // Complete as it is: the new object does not run its real constructor.
            statement.takeEffect();
        } else {
            statement.scene().begun(statement, "say what it answers, such as .returns(...)");
        }
        return statement;
    }

    public final void returns(@Nullable Object first, @Nullable Object... more) {
        said(() -> {
            add(value(first));
            for (Object next : more) {
                add(value(next));
            }
        });
    }

    private Step value(@Nullable Object value) {
        DoubledMethod method = pattern().method();
        if (method.isConstructor() && value == null) {
            throw new MisuseException(
                    "The answer of " + this + " is null, which no constructor gives.",
                    "return an object, such as stub(" + method.returnType().getSimpleName() + ".class)");
        }
        if (!Answers.fits(value, method.returnType())) {
            throw new MisuseException(
                    "The answer of " + this + " does not fit: " + Answers.misfit(value, method.returnType()) + ".",
                    "return a value of the method's own type");
        }
        return new Step.Value(value);
    }

    public final void fails(@Nullable Throwable failure) {
        said(() -> add(failing(failure)));
    }

    private Step failing(@Nullable Throwable failure) {
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
        return new Step.Failing(failure);
    }

    private static String declared(DoubledMethod method) {
        Class<?>[] types = method.executable().getExceptionTypes();
        return types.length == 0 ? "" : ", or one of those that it does: " + Values.print(types);
    }

    /** Answers by running a lambda; one that only acts leaves the answer to be an empty value. */
    public final void runs(@Nullable Shape lambda, boolean acts) {
        said(() -> {
            refuseNull(lambda);
            add(acts ? new Step.Acting(lambda) : new Step.Answering(lambda, line()));
        });
    }

    public final void around(@Nullable Around lambda) {
        said(() -> {
            refuseNull(lambda);
            refuseWithoutReal();
            add(new Step.Surrounding(lambda, line()));
        });
    }

    private void refuseNull(@Nullable Object lambda) {
        if (lambda == null) {
            throw new MisuseException("The answer of " + this + " is null.", "give a lambda, or .returns(null)");
        }
        pattern().refuseUnlessAllFreeHere();
    }

    public final void doesNothing() {
        said(() -> add(new Step.Value(null)));
    }

    /** Answers from a table; {@code key} makes one of its keys of the free parameters. */
    public final void returnsFrom(@Nullable Map<?, ?> table, Function<Object[], ?> key) {
        said(() -> {
            if (table == null) {
                throw new MisuseException("The table of " + this + " is null.", "give a map from arguments to answers");
            }
            Map<?, ?> copy = new HashMap<>(table);
            copy.values().forEach(this::value);
            narrow(pattern().where("the table lists it", free -> copy.containsKey(key.apply(free))));
            add(new Step.Lookup(copy, key));
        });
    }

    public final void callsReal() {
        said(() -> {
            refuseWithoutReal();
            add(new Step.Real());
        });
    }

    private void refuseWithoutReal() {
        if (!told().hasReal(pattern().method())) {
            throw new MisuseException(
                    this + " cannot call real code: the method is abstract and there is no real object.",
                    !pattern().method().hasCode()
                            ? "say what it answers, or make the double with spy(realObject)"
                            : "say what it answers");
        }
    }

    private synchronized void add(Step step) {
        refuseAnswer();
        Step[] longer = Arrays.copyOf(steps, steps.length + 1);
        longer[steps.length] = step;
        boolean first = steps.length == 0;
        steps = longer;
        if (first) {
            fix();
            scene().completed(this);
            boolean effective = pattern().method().isConstructor()
                    && Replacements.canBeBare(pattern().method().returnType());
            if (!effective) {
                takeEffect();
            }
        }
    }

    /** Makes the double heed this statement. */
    void takeEffect() {
        state().suppose(this);
        scene().supposed(this);
    }

    /** Refuses an answer that no call could ever get. */
    void refuseAnswer() {
        // A supposition may always answer.
    }

    /** Whether it was said by a statement of the test, and not only to carry a chain on. */
    boolean isOfTest() {
        return true;
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
