package dev.zelotype.engine.decide;

import dev.zelotype.basics.GenericTypes;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.VariableNames;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;

/**
 * The messages about calls that a double refuses.
 */
final class Refusals {

    private Refusals() {}

    /** A call that was neither supposed nor expected. */
    static FailureText unexpected(Call call) {
        Part part = ((MethodState) call.log()).part();
        DoubleState told = part.owner();
        DoubledMethod method = call.log().method();
        Object[] arguments = call.arguments();
        boolean dummy = told.kind() == Kind.DUMMY;
        String sentence = Calls.call(told, method, arguments)
                + (dummy
                        ? " was called, but " + told.name() + " is a dummy, which only fills a place."
                        : " was not expected.");
        List<String> cure = dummy
                ? List.of("make it a stub, with stub(" + simpleType(told) + ".class)")
                : Calls.statementsFor(told.name(), method, arguments);
        return new FailureText(sentence)
                .section("Called", at(call))
                .section("Told about this method", toldAbout(part, method, arguments))
                .section("If the call is right, write", cure);
    }

    private static String simpleType(DoubleState told) {
        return VariableNames.simpleName(told.doubleClass().doubledType());
    }

    private static List<String> at(Call call) {
        return call.caller() == null ? List.of() : List.of(Lines.at(call.caller()));
    }

    private static List<String> toldAbout(Part part, DoubledMethod method, Object[] arguments) {
        List<String> lines = new ArrayList<>();
        for (Demand expectation : part.demands(method)) {
            lines.addAll(Columns.align(List.<String[]>of(expectation.row())));
            addDifferences(lines, expectation, arguments);
        }
        for (Rule supposition : part.rules(method)) {
            lines.addAll(Columns.align(List.<String[]>of(supposition.row())));
            addDifferences(lines, supposition, arguments);
        }
        return lines;
    }

    private static void addDifferences(List<String> lines, Stated statement, Object[] arguments) {
        for (String difference : Calls.differences(statement.pattern(), arguments)) {
            lines.add("  " + difference);
        }
    }

    /** A call that was expected, but not so often. */
    static FailureText tooOften(Demand exhausted, Call call) {
        return new FailureText(Calls.call(call) + " was called once too often.")
                .section("Called", at(call))
                .section("Expected", Columns.align(List.<String[]>of(exhausted.row())));
    }

    /** A query that was repeated endlessly, as by a loop that waits for another answer. */
    static FailureText withoutEnd(Call call, int times, String line) {
        DoubleState told = ((MethodState) call.log()).part().owner();
        return new FailureText(Calls.call(call) + " was called " + times + " times from the same line, and each time"
                        + " no supposition covered it.")
                .section("Called", line.isEmpty() ? List.of() : List.of(line))
                .section(
                        "If a loop waits for another answer, say it",
                        List.of(Calls.allowing(told.name(), call.log().method())));
    }

    /** A call that was expected, but earlier or later. */
    static FailureText outOfOrder(Demand early, Demand before, Call call) {
        return new FailureText(Calls.call(call) + " came out of order.")
                .section("Called", at(call))
                .section(
                        before.comesBefore(early) ? "Expected before it" : "Expected after it, and already begun",
                        Columns.align(List.<String[]>of(before.row())));
    }

    /** A call of a method that a fake does not implement. */
    static FailureText notImplemented(Call call) {
        DoubleState told = ((MethodState) call.log()).part().owner();
        return new FailureText(Calls.call(call) + " is not implemented by the fake " + simpleType(told) + ".")
                .section(
                        "Add to " + simpleType(told),
                        List.of(signature((Method) call.log().method().executable()) + " {"));
    }

    private static String signature(Method method) {
        StringBuilder out = new StringBuilder("@Override ");
        int modifiers = method.getModifiers();
        out.append(Modifier.isPublic(modifiers) ? "public " : Modifier.isProtected(modifiers) ? "protected " : "");
        out.append(plain(GenericTypes.ofResult(method).getTypeName()))
                .append(' ')
                .append(method.getName())
                .append('(');
        for (int i = 0; i < method.getParameterCount(); i++) {
            out.append(i == 0 ? "" : ", ")
                    .append(plain(GenericTypes.ofParameters(method)[i].getTypeName()))
                    .append(' ')
                    .append(method.getParameters()[i].getName());
        }
        return out.append(')').toString();
    }

    private static String plain(String typeName) {
        return typeName.replaceAll("[\\w$]+\\.", "").replace('$', '.');
    }
}
