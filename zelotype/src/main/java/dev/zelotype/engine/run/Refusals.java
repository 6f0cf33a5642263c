package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.Lines;
import dev.zelotype.engine.make.DoubledMethod;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is said about calls that a double refuses.
 */
final class Refusals {

    private Refusals() {}

    /** A call that nobody supposed or expected. */
    static FailureText unexpected(Part part, DoubledMethod method, @Nullable CallRecord call, Object[] arguments) {
        Told told = part.told();
        boolean dummy = told.kind() == Kind.DUMMY;
        String sentence = Calls.call(told, method, arguments)
                + (dummy
                        ? " was called, but " + told.name() + " is a dummy, which only fills a place."
                        : " was not expected.");
        List<String> cure = dummy
                ? List.of("make it a stub, with stub(" + simpleType(told) + ".class)")
                : Calls.statementsFor(told.name(), method, arguments);
        return new FailureText(sentence)
                .section("Called at", at(call))
                .section("Told about this method", toldAbout(part, method, arguments))
                .section("If the call is right, write", cure);
    }

    private static String simpleType(Told told) {
        return told.doubleClass().doubledType().getSimpleName();
    }

    private static List<String> at(@Nullable CallRecord call) {
        return call == null || call.caller() == null ? List.of() : List.of(Lines.text(call.caller()));
    }

    private static List<String> toldAbout(Part part, DoubledMethod method, Object[] arguments) {
        List<String> lines = new ArrayList<>();
        for (Expectation expectation : part.expectations(method)) {
            lines.addAll(Columns.align(List.<String[]>of(expectation.row())));
            addDifferences(lines, expectation, arguments);
        }
        for (Supposition supposition : part.suppositions(method)) {
            lines.addAll(Columns.align(
                    List.<String[]>of(new String[] {supposition.patternText(), "supposed", supposition.line()})));
            addDifferences(lines, supposition, arguments);
        }
        return lines;
    }

    private static void addDifferences(List<String> lines, Statement statement, Object[] arguments) {
        for (String difference : Calls.differences(statement.pattern(), arguments)) {
            lines.add("  " + difference);
        }
    }

    /** A call that was expected, but not that often. */
    static FailureText tooOften(Expectation exhausted, @Nullable CallRecord call, Object[] arguments) {
        return new FailureText(Calls.call(exhausted.told(), exhausted.pattern().method(), arguments)
                        + " was called once too often.")
                .section("Called at", at(call))
                .section("Expected", Columns.align(List.<String[]>of(exhausted.row())));
    }

    /** A call that was expected, but not yet or no longer. */
    static FailureText outOfOrder(
            Expectation early, Expectation before, @Nullable CallRecord call, Object[] arguments) {
        return new FailureText(Calls.call(early.told(), early.pattern().method(), arguments) + " came out of order.")
                .section("Called at", at(call))
                .section(
                        before.wantsMore() ? "Expected before it" : "Expected after it, and already begun",
                        Columns.align(List.<String[]>of(before.row())));
    }

    /** A call of a fake that has no code for it. */
    static FailureText notImplemented(Told told, DoubledMethod method, Object[] arguments) {
        return new FailureText(Calls.call(told, method, arguments) + " is not implemented by the fake "
                        + simpleType(told) + ".")
                .section("Add to " + simpleType(told), List.of(signature((Method) method.executable()) + " {"));
    }

    private static String signature(Method method) {
        StringBuilder out = new StringBuilder("@Override ");
        int modifiers = method.getModifiers();
        out.append(Modifier.isPublic(modifiers) ? "public " : Modifier.isProtected(modifiers) ? "protected " : "");
        out.append(plain(method.getGenericReturnType().getTypeName()))
                .append(' ')
                .append(method.getName())
                .append('(');
        for (int i = 0; i < method.getParameterCount(); i++) {
            out.append(i == 0 ? "" : ", ")
                    .append(plain(method.getGenericParameterTypes()[i].getTypeName()))
                    .append(' ')
                    .append(method.getParameters()[i].getName());
        }
        return out.append(')').toString();
    }

    private static String plain(String typeName) {
        return typeName.replaceAll("[\\w$]+\\.", "").replace('$', '.');
    }
}
