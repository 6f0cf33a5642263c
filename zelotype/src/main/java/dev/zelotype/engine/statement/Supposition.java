package dev.zelotype.engine.statement;

import dev.zelotype.basics.KotlinCode;
import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.Part;
import dev.zelotype.engine.decide.Rule;
import dev.zelotype.engine.decide.Step;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.decide.facts.ReturnTypes;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Sets the answers of some calls: a sequence; the last one is repeated. It takes effect with its first answer.
 */
public class Supposition extends Statement {

    private static final String TUPLES = "dev.zelotype.call.Args";

    private final Rule rule;
    private final List<Object[]> examples = new ArrayList<>();
    private final @Nullable Before before = Before.current();
    private @Nullable BiPredicate<Object, Object> comparison;

    Supposition(Rule rule, Part part) {
        super(rule, part);
        this.rule = rule;
    }

    Supposition(Written written) {
        this(new Rule(Verb.SUPPOSED, written.pattern(), written.frame()), written.part());
    }

    public static Supposition of(Serializable shape) {
        Supposition statement = new Supposition(read(shape, true));
        Before before = statement.before;
        if (before != null) {
            statement.narrow(before.narrowed(statement.pattern()));
        }
        if (statement.scene().isShared()) {
            throw new MisuseException(
                    "suppose(" + statement.patternText() + ") was written outside a scene, but scenes use "
                            + statement.receiver() + " already: it would apply to all later tests.",
                    "write it in a test, or when the double is made");
        }
        Kind kind = statement.part().owner().kind();
        if (!KindRule.of(kind).canBeSupposed()) {
            throw new MisuseException(
                    statement.receiver() + " is a " + kind.word()
                            + ": every call of it fails, so no answer can be set.",
                    "make it a stub");
        }
        DoubledMethod method = statement.method();
        if (method.isConstructor() && Replacing.canBeBare(method.returnType())) {
            // Complete: the new object does not run its real constructor.
            statement.takeEffect();
        } else {
            statement.scene().begun(statement, "add an answer, such as .returns(...)");
        }
        return statement;
    }

    public final void returns(@Nullable Object first, @Nullable Object... more) {
        addAll(false, first, more);
    }

    /**
     * Adds an answer for each value atomically; none of them if one is refused. Without lambdas, because linking the
     * first ones in a JVM takes longer than everything else.
     */
    private void addAll(boolean fails, @Nullable Object first, @Nullable Object @Nullable [] given) {
        // The compiler passes a second null as the array of variable arguments.
        Object[] more = given == null ? new Object[] {null} : given;
        try {
            Step[] steps = new Step[more.length + 1];
            for (int i = 0; i < steps.length; i++) {
                Object next = i == 0 ? first : more[i - 1];
                steps[i] = fails ? failing((Throwable) next) : value(next);
            }
            add(steps);
        } catch (MisuseException e) {
            throw refused(e);
        }
    }

    private Step value(@Nullable Object said) {
        DoubledMethod method = method();
        Object value = KotlinCode.asGiven(said, method.executable(), method.suspends());
        if (method.isConstructor() && value == null) {
            throw new MisuseException(
                    "The answer of " + this + " is null, but a constructor cannot return null.",
                    "return an object, such as stub(" + method.returnType().getSimpleName() + ".class)");
        }
        if (!ReturnTypes.fits(value, method.returnType())) {
            throw new MisuseException(
                    "The answer of " + this + " does not fit: " + ReturnTypes.misfit(value, method.returnType()) + ".",
                    "return a value of the method's own type");
        }
        return new Step.Value(value);
    }

    public final void fails(@Nullable Throwable first, @Nullable Throwable... more) {
        addAll(true, first, more);
    }

    private Step failing(@Nullable Throwable failure) {
        if (failure == null) {
            throw new MisuseException("The exception of " + this + " is null.", "give the exception to throw");
        }
        DoubledMethod method = method();
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

    /** Answers by running a lambda; after one without a result, the answer is an empty value. */
    public final void runs(@Nullable Shape lambda, boolean acts) {
        say(() -> {
            refuseNull(lambda);
            add(acts ? new Step.Acting(lambda) : new Step.Answering(lambda, at()));
        });
    }

    public final void around(@Nullable Around lambda) {
        say(() -> {
            refuseNull(lambda);
            refuseWithoutReal();
            add(new Step.Surrounding(lambda, at()));
        });
    }

    private void refuseNull(@Nullable Object lambda) {
        if (lambda == null) {
            throw new MisuseException("The answer of " + this + " is null.", "give a lambda, or .returns(null)");
        }
        pattern().refuseUnlessAllFreeHere();
    }

    public final void doesNothing() {
        say(() -> add(new Step.Value(null)));
    }

    /** Answers from a table; {@code key} converts the free parameters to a key. */
    public final void returnsFrom(@Nullable Map<?, ?> table, Function<Object[], ?> key) {
        say(() -> {
            if (table == null) {
                throw new MisuseException("The table of " + this + " is null.", "give a map from arguments to answers");
            }
            Map<?, ?> copy = new HashMap<>(table);
            copy.values().forEach(this::value);
            copy.keySet().forEach(listed -> examples.add(freeOf(listed)));
            narrow(pattern().where("the table lists it", free -> copy.containsKey(key.apply(free))));
            add(new Step.Lookup(copy, key));
        });
    }

    /** Sets example values for the free parameters, for checking the statement against a real object. */
    public final void forExample(@Nullable Object... free) {
        say(() -> {
            pattern().refuseUnlessAllFreeHere();
            examples.add(free);
        });
    }

    /** Sets how an answer is compared with that of a real object. */
    public final void comparedBy(@Nullable BiPredicate<Object, Object> alike) {
        say(() -> {
            if (alike == null) {
                throw new MisuseException("The comparison of " + this + " is null.", "give a lambda");
            }
            comparison = alike;
        });
    }

    public final List<Object[]> examples() {
        return List.copyOf(examples);
    }

    public final @Nullable BiPredicate<Object, Object> comparison() {
        return comparison;
    }

    public final Rule rule() {
        return rule;
    }

    /** The calls that must have been made before, in order. */
    public final List<Before> befores() {
        return before == null ? List.of() : before.all();
    }

    /** Its double. */
    public final DoubleState about() {
        return part().owner();
    }

    public final void callsReal() {
        say(() -> {
            refuseWithoutReal();
            add(new Step.Real());
        });
    }

    private void refuseWithoutReal() {
        if (!part().owner().hasReal(method())) {
            throw new MisuseException(
                    this + " cannot call real code: the method is abstract and the double has no real object.",
                    !method().hasCode() ? "set an answer, or make the double with spy(realObject)" : "set an answer");
        }
    }

    private void add(Step... steps) {
        refuseAnswer();
        if (rule.add(steps)) {
            fix();
            scene().completed(this);
            boolean effective = method().isConstructor() && Replacing.canBeBare(method().returnType());
            if (!effective) {
                takeEffect();
            }
        }
    }

    /** The free parameters that a key of a table represents: itself, or the parts of a tuple. */
    private Object[] freeOf(@Nullable Object key) {
        if (key == null || !(key instanceof Record) || !key.getClass().getName().startsWith(TUPLES)) {
            return new Object[] {key};
        }
        List<Object> free = new ArrayList<>();
        try {
            for (RecordComponent part : key.getClass().getRecordComponents()) {
                free.add(part.getAccessor().invoke(key));
            }
        } catch (ReflectiveOperationException e) {
            throw Rethrow.rethrow(e);
        }
        return free.toArray();
    }

    /** Makes the statement effective. */
    void takeEffect() {
        part().owner().isSaid();
        state().add(rule);
        if (isOfTest()) {
            scene().supposed(rule);
        }
        scene().said(this);
    }

    /** Refuses an answer that no call could ever get. */
    void refuseAnswer() {
        // A supposition may always answer.
    }

    /** Whether it is a statement of the test, rather than an implicit one of a chain. */
    public boolean isOfTest() {
        return true;
    }

    @Override
    public Count count() {
        return Count.ANY;
    }

    @Override
    public int found() {
        return rule.used() ? 1 : 0;
    }

    @Override
    public @Nullable Order order() {
        return null;
    }
}
