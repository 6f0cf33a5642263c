package dev.zelotype.engine.pattern;

import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.reflect.Array;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Reads a method reference or a lambda as a call pattern. A method reference is not run unless it names a double; a
 * lambda is run in capture.
 */
public final class PatternReader {

    private final Serializable lambda;
    private final Classes classes;
    private final LambdaForm form;
    private final Class<?>[] freeTypes;
    private boolean chain;
    private @Nullable DoubledMethod target;

    /** Who answers for classes that are replaced as a whole. */
    public interface Classes {

        /** Gives the participant for a class; replaces the class now if that is allowed. */
        Participant of(Class<?> type);
    }

    private PatternReader(Serializable lambda, Classes classes) {
        this.lambda = lambda;
        this.classes = classes;
        this.form = LambdaForm.of(lambda);
        this.freeTypes = form.parameterTypes();
    }

    /**
     * Reads a pattern.
     *
     * @throws MisuseException if it is none, with the reason and a cure
     */
    public static CallPattern read(Serializable lambda, Classes classes) {
        if (lambda == null) {
            throw new MisuseException(
                    "The pattern is null.", "write it as a method reference or a lambda, such as weather::humidity");
        }
        PatternReader reader = new PatternReader(lambda, classes);
        return reader.form.isLambda() ? reader.readLambda() : reader.readReference();
    }

    private CallPattern readReference() {
        boolean ofType = form.isConstructor() || form.isStatic() || !form.isBound();
        if (ofType) {
            return readReferenceToType();
        }
        Object receiver = form.boundObject();
        Participant participant = DoubleClass.participantOf(receiver);
        if (participant == null) {
            throw new MisuseException(
                    "This pattern names no double: " + form.methodName() + " was asked of "
                            + (receiver == null
                                    ? "null"
                                    : "a real " + receiver.getClass().getSimpleName()) + ".",
                    "make a double, such as stub(" + form.owner().getSimpleName()
                            + ".class), give it to the subject, and use it in the pattern");
        }
        DoubledMethod method = participant.doubleClass().find(form.methodName(), form.methodDescriptor());
        if (method != null) {
            return CallPattern.anyCall(participant, method, freeTypes);
        }
        refuseFixed(participant, form.methodName(), form.methodDescriptor());
        return readLambda();
    }

    private CallPattern readReferenceToType() {
        Class<?> owner = form.owner();
        if (!form.isConstructor() && !form.isStatic() && Modifier.isAbstract(owner.getModifiers())) {
            throw new MisuseException(
                    "This pattern names no double: " + owner.getSimpleName() + "::" + form.methodName()
                            + " is a method of an abstract type.",
                    "give the subject a double of " + owner.getSimpleName() + " and name that, as in "
                            + VariableNames.of(owner) + "::" + form.methodName());
        }
        Participant participant = classes.of(owner);
        return CallPattern.anyCall(
                participant, replaceable(participant, form.methodName(), form.methodDescriptor()), freeTypes);
    }

    private static DoubledMethod replaceable(Participant participant, String name, String descriptor) {
        DoubledMethod method = participant.doubleClass().find(name, descriptor);
        if (method == null) {
            throw new MisuseException(
                    participant.name() + "." + name
                            + " cannot be replaced: it is native, abstract, inherited from the JDK,"
                            + " or one of those that the JVM has code of its own for.",
                    "wrap it in an interface of your own, and give the subject a double of that");
        }
        return method;
    }

    /** A lambda that ends with a static call or a constructor: the class is replaced before the lambda is run. */
    private void replaceTarget() {
        LambdaBody.Target called = form.capturesDouble()
                ? null
                : LambdaBody.target(form.owner(), form.methodName(), form.methodDescriptor());
        if (called != null && !called.owner().equals(form.owner().getName())) {
            Participant participant = classes.of(form.load(called.owner()));
            target = replaceable(participant, called.name(), called.descriptor());
        }
    }

    private static void refuseFixed(Participant participant, String name, String descriptor) {
        if (participant.doubleClass().fixed(name, descriptor) != null) {
            throw new MisuseException(
                    participant.name() + "." + name + " is final, private or hidden: a double cannot answer it.",
                    "spy on a real object in place, with spy(object), or double an interface that declares it");
        }
    }

    private CallPattern readLambda() {
        Placeholders placeholders = new Placeholders(freeTypes);
        List<Capture.Run> runs = new ArrayList<>();
        replaceTarget();
        for (int run = 0; run < placeholders.runs(); run++) {
            Capture.Run captured = Capture.of(lambda, placeholders.run(run), chain, target);
            if (run == 0) {
                if (captured.thrown() instanceof NullPointerException
                        && !captured.calls().isEmpty()) {
                    chain = true;
                    captured = Capture.of(lambda, placeholders.run(run), true, target);
                }
                refuseUnlessOneCall(captured);
            } else if (captured.thrown() != null || !sameCalls(captured, runs.get(0))) {
                throw computed(placeholders);
            }
            runs.add(captured);
        }
        boolean[] reached = new boolean[freeTypes.length];
        CallPattern pattern = null;
        int length = runs.get(0).calls().size();
        for (int link = 0; link < length; link++) {
            pattern = link(runs, link, placeholders, reached, pattern);
        }
        for (int i = 0; i < reached.length; i++) {
            if (!reached[i]) {
                throw new MisuseException(
                        "The free parameter '" + form.parameterNames()[i] + "' of this pattern reaches no argument of "
                                + text(pattern) + ".",
                        "pass it on as it is, or remove it");
            }
        }
        return pattern;
    }

    private CallPattern link(
            List<Capture.Run> runs,
            int link,
            Placeholders placeholders,
            boolean[] reached,
            @Nullable CallPattern before) {
        Capture.CapturedCall first = runs.get(0).calls().get(link);
        ArgumentRule[] rules = new ArgumentRule[first.arguments().length];
        for (int i = 0; i < rules.length; i++) {
            Object[] values = new Object[runs.size()];
            for (int run = 0; run < values.length; run++) {
                values[run] = runs.get(run).calls().get(link).arguments()[i];
            }
            rules[i] = rule(values, placeholders, reached);
            if (rules[i] == null) {
                throw computed(placeholders);
            }
        }
        return new CallPattern(first.participant(), first.method(), rules, freeTypes, List.of(), before);
    }

    /** What the values that one argument took in the runs say about it, or null if it was computed. */
    private @Nullable ArgumentRule rule(Object[] values, Placeholders placeholders, boolean[] reached) {
        for (int parameter = 0; parameter < freeTypes.length; parameter++) {
            if (isParameter(values, placeholders, parameter)) {
                reached[parameter] = true;
                return new ArgumentRule.Free(parameter, freeTypes[parameter]);
            }
        }
        if (allSame(values, placeholders)) {
            return new ArgumentRule.Literal(values[0]);
        }
        return sameLengthArrays(values) ? elements(values, placeholders, reached) : null;
    }

    private boolean isParameter(Object[] values, Placeholders placeholders, int parameter) {
        for (int run = 0; run < values.length; run++) {
            Object placeholder = placeholders.run(run)[parameter];
            boolean boxed = Numbers.isNumber(placeholder) || placeholder instanceof Boolean;
            if (boxed ? !Numbers.equal(values[run], placeholder) : values[run] != placeholder) {
                return false;
            }
        }
        return true;
    }

    private static boolean allSame(Object[] values, Placeholders placeholders) {
        for (int run = 0; run < values.length; run++) {
            for (Object placeholder : placeholders.run(run)) {
                if (placeholder != null
                        && placeholder == values[run]
                        && !Numbers.isNumber(placeholder)
                        && !(placeholder instanceof Boolean)) {
                    return false;
                }
            }
            try {
                if (!Equality.same(values[0], values[run])) {
                    return false;
                }
            } catch (RuntimeException e) {
                // Comparing looked inside something that holds a placeholder.
                return false;
            }
        }
        return true;
    }

    private static boolean sameLengthArrays(Object[] values) {
        for (Object value : values) {
            if (value == null || !value.getClass().isArray() || Array.getLength(value) != Array.getLength(values[0])) {
                return false;
            }
        }
        return true;
    }

    private ArgumentRule.@Nullable Elements elements(Object[] values, Placeholders placeholders, boolean[] reached) {
        ArgumentRule[] rules = new ArgumentRule[Array.getLength(values[0])];
        for (int i = 0; i < rules.length; i++) {
            Object[] column = new Object[values.length];
            for (int run = 0; run < column.length; run++) {
                column[run] = Array.get(values[run], i);
            }
            rules[i] = rule(column, placeholders, reached);
            if (rules[i] == null) {
                return null;
            }
        }
        return new ArgumentRule.Elements(rules);
    }

    private void refuseUnlessOneCall(Capture.Run run) {
        List<Capture.CapturedCall> calls = run.calls();
        if (calls.isEmpty()) {
            throw new MisuseException(
                    "This pattern calls no double"
                            + (run.thrown() == null ? "." : ": it failed with " + run.thrown() + " before."),
                    "call one method of one double in it, such as () -> weather.humidityAt(\"north\")",
                    run.thrown());
        }
        Capture.CapturedCall first = calls.get(0);
        if (!isCalledByLambda(first) && form.isLambda()) {
            throw new MisuseException(
                    "This pattern runs real code: " + first.caller().getClassName() + "."
                            + first.caller().getMethodName() + " called " + text(first) + ".",
                    "call the double itself in the pattern");
        }
        for (int i = 1; i < calls.size(); i++) {
            if (!continues(calls.get(i), calls.get(i - 1))) {
                throw new MisuseException(
                        "This pattern makes more than one call: " + text(calls.get(i - 1)) + " and "
                                + text(calls.get(i)) + ".",
                        "write one statement for each call; compute arguments beforehand");
            }
        }
        if (run.thrown() != null) {
            throw goesOn(calls.get(calls.size() - 1), run.thrown());
        }
    }

    private boolean isCalledByLambda(Capture.CapturedCall call) {
        return call.caller().getMethodName().equals(form.methodName())
                && call.caller().getClassName().equals(form.owner().getName());
    }

    private static MisuseException goesOn(Capture.CapturedCall call, Throwable thrown) {
        return new MisuseException(
                "This pattern goes on after the call of " + text(call) + ", and failed with "
                        + thrown.getClass().getSimpleName() + ".",
                "end the pattern with the call",
                thrown);
    }

    private static boolean continues(Capture.CapturedCall call, Capture.CapturedCall before) {
        return call.participant() instanceof Capture.ChainLink link && link.origin() == before;
    }

    private static boolean sameCalls(Capture.Run run, Capture.Run first) {
        if (run.calls().size() != first.calls().size()) {
            return false;
        }
        Capture.CapturedCall call = run.calls().get(0);
        boolean same = call.participant() == first.calls().get(0).participant();
        for (int i = 0; i < run.calls().size() && same; i++) {
            same = run.calls().get(i).method() == first.calls().get(i).method();
        }
        return same;
    }

    /** Finds the parameter to blame by changing one at a time. */
    private MisuseException computed(Placeholders placeholders) {
        for (int parameter = 0; parameter < freeTypes.length; parameter++) {
            for (int run = 1; run < placeholders.runs(); run++) {
                Object[] values = placeholders.run(0);
                values[parameter] = placeholders.run(run)[parameter];
                Capture.Run changed = Capture.of(lambda, values, chain, target);
                if (changed.thrown() != null || !passesOn(changed, values[parameter])) {
                    return new MisuseException(
                            "An argument of this pattern is computed from its free parameter '"
                                    + form.parameterNames()[parameter] + "'.",
                            "pass '" + form.parameterNames()[parameter]
                                    + "' on as it is, and say what you mean with where(...)",
                            changed.thrown());
                }
            }
        }
        return new MisuseException(
                "An argument of this pattern is another one each time it runs.", "compute it before the statement");
    }

    private static boolean passesOn(Capture.Run run, @Nullable Object value) {
        for (Capture.CapturedCall call : run.calls()) {
            for (Object argument : call.arguments()) {
                if (argument == value || Numbers.equal(argument, value)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static String text(Capture.CapturedCall call) {
        return call.participant().name() + "." + call.method().name() + "(...)";
    }

    private static String text(CallPattern pattern) {
        return pattern.participant().name() + "." + pattern.method().name() + "(...)";
    }
}
