package dev.zelotype.engine.explain;

import dev.zelotype.basics.Boxes;
import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.lang.reflect.Array;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * Calls and patterns as text.
 */
public final class Calls {

    private static final int MOST_IN_CONVERSATION = 30;

    private Calls() {}

    /** A call as source, for example {@code mount.slewTo(Harrow-4)}. */
    public static String call(Participant participant, DoubledMethod method, Object[] arguments) {
        String instance = instance(participant, method, arguments);
        return (instance.isEmpty() ? name(participant, method) : instance + "." + method.name()) + "("
                + String.join(", ", arguments(method, arguments)) + ")";
    }

    /** Which object of a replaced class is called; empty for other doubles. */
    public static String instance(Participant participant, DoubledMethod method, Object[] arguments) {
        return method.takesInstance() ? participant.nameOf(arguments[0]) : "";
    }

    public static String call(Call call) {
        return call(call.log().owner(), call.log().method(), call.arguments());
    }

    private static String name(Participant participant, DoubledMethod method) {
        return method.isConstructor() ? "new " + participant.name() : participant.name() + "." + method.name();
    }

    /** Each argument as text; variable arguments one by one, without the called object. */
    public static List<String> arguments(DoubledMethod method, Object[] arguments) {
        List<String> texts = new ArrayList<>();
        int count = method.suspends() ? arguments.length - 1 : arguments.length;
        for (int i = method.takesInstance() ? 1 : 0; i < count; i++) {
            String name = method.parameterName(i);
            boolean spread = method.executable().isVarArgs()
                    && i == arguments.length - 1
                    && arguments[i] != null
                    && !Values.isHidden(name, arguments[i]);
            for (int j = 0; spread && j < Array.getLength(arguments[i]); j++) {
                texts.add(Values.print(Array.get(arguments[i], j)));
            }
            if (!spread) {
                texts.add(Values.print(name, arguments[i]));
            }
        }
        return texts;
    }

    /** A pattern as the calls that it covers, for example {@code mount.track(any SkyTarget, 3)}. */
    public static String pattern(CallPattern pattern) {
        int first = pattern.method().takesInstance() ? 1 : 0;
        String called = first == 0
                ? name(pattern.participant(), pattern.method())
                : instance(pattern) + "." + pattern.method().name();
        return called + arguments(pattern, first);
    }

    /** As {@link #pattern}, without the name of the double. */
    public static String called(CallPattern pattern) {
        return pattern.method().takesInstance()
                ? pattern(pattern)
                : pattern.method().name() + arguments(pattern, 0);
    }

    private static String arguments(CallPattern pattern, int first) {
        StringBuilder out = new StringBuilder("(");
        int count = pattern.method().suspends() ? pattern.rules().length - 1 : pattern.rules().length;
        for (int i = first; i < count; i++) {
            out.append(i == first ? "" : ", ");
            out.append(rule(
                    pattern.method().parameterName(i),
                    pattern.rules()[i],
                    pattern.method().parameterTypes()[i]));
        }
        out.append(')');
        for (CallPattern.Condition condition : pattern.conditions()) {
            out.append(
                    condition.description() == null ? " where a condition holds" : " where " + condition.description());
        }
        return out.toString();
    }

    private static String instance(CallPattern pattern) {
        ArgumentRule rule = pattern.rules()[0];
        Object one = rule instanceof ArgumentRule.Literal literal
                ? literal.value()
                : rule instanceof ArgumentRule.Bound bound ? bound.value() : null;
        return one == null
                ? rule("", rule, pattern.method().parameterTypes()[0])
                : pattern.participant().nameOf(one);
    }

    /** The condition of a pattern on the argument with some name. */
    static String rule(String name, ArgumentRule rule, Class<?> type) {
        if (rule instanceof ArgumentRule.Literal literal) {
            return Values.print(name, literal.value());
        } else if (rule instanceof ArgumentRule.Bound bound) {
            return Values.print(name, bound.value());
        } else if (rule instanceof ArgumentRule.Free free) {
            return "any " + Values.typeName(type.isPrimitive() ? type : free.type());
        }
        StringBuilder out = new StringBuilder("[");
        for (ArgumentRule element : ((ArgumentRule.Elements) rule).rules()) {
            out.append(out.length() == 1 ? "" : ", ").append(rule(name, element, type.getComponentType()));
        }
        return out.append(']').toString();
    }

    /** The answer of a call, for example {@code = 40}; empty for a void call that returned. */
    public static String answer(Call call) {
        boolean silent = call.ending() != Ending.THREW
                && (call.answer() == Call.UNSEEN || call.log().method().givesNothing());
        return call.ending().said(silent ? "" : Values.print(call.log().method().name(), call.answer()));
    }

    /**
     * The calls in order, each with its answer and its place.
     *
     * @param more further lines about a call, to be placed below it
     */
    public static List<String> conversation(List<Call> calls, Function<Call, List<String>> more) {
        List<String[]> rows = new ArrayList<>();
        int first = Math.max(0, calls.size() - MOST_IN_CONVERSATION);
        for (Call call : calls.subList(first, calls.size())) {
            rows.add(new String[] {call.number() + "  " + call(call), answer(call), Lines.at(call.caller())});
        }
        List<String> lines = new ArrayList<>();
        List<String> aligned = Columns.align(rows);
        for (int i = 0; i < aligned.size(); i++) {
            lines.add(aligned.get(i));
            for (String line : more.apply(calls.get(first + i))) {
                lines.add("     " + line);
            }
        }
        if (first > 0) {
            lines.add(0, "... " + first + " earlier " + (first == 1 ? "call" : "calls"));
        }
        return lines;
    }

    /**
     * The call that is closest to a pattern, with its differences; empty if there is none.
     *
     * @param calls the calls of the pattern's method
     * @param ofOverloads the calls of its overloads; the last one is shown if the method has no calls
     */
    public static FailureText.Closest closest(CallPattern pattern, List<Call> calls, List<Call> ofOverloads) {
        Call best = null;
        List<String> differences = List.of();
        for (Call call : calls) {
            List<String> found = Differences.of(pattern, call.arguments());
            if (!found.isEmpty() && (best == null || found.size() < differences.size())) {
                best = call;
                differences = found;
            }
        }
        if (best == null) {
            return calls.isEmpty() ? overload(pattern, ofOverloads) : FailureText.Closest.NONE;
        }
        return new FailureText.Closest(call(best), Lines.at(best.caller()), differences);
    }

    private static FailureText.Closest overload(CallPattern pattern, List<Call> calls) {
        if (calls.isEmpty()) {
            return FailureText.Closest.NONE;
        }
        Call last = calls.get(calls.size() - 1);
        return new FailureText.Closest(
                call(last),
                Lines.at(last.caller()),
                List.of("another method of that name: expected "
                        + pattern.method().signature() + ", was "
                        + last.log().method().signature()));
    }

    /** Why a pattern does not cover a call of its method. */
    public static List<String> differences(CallPattern pattern, Object[] arguments) {
        return Differences.of(pattern, arguments);
    }

    /** The statements to write if an unexpected call is right. */
    public static List<String> statementsFor(String name, DoubledMethod method, Object[] arguments) {
        String any = anyCall(name, method);
        String exactly = method.parameterTypes().length > 0 && allLiteral(arguments)
                ? "() -> " + name + "." + method.name() + "(" + String.join(", ", arguments(method, arguments)) + ")"
                : any;
        return Columns.align(List.of(
                new String[] {"expect(" + exactly + ").once();", "if the test is about this call"},
                new String[] {allowing(name, method), "if it is merely allowed"}));
    }

    /** The statement that allows any call of a method. */
    public static String allowing(String name, DoubledMethod method) {
        return "suppose(" + anyCall(name, method) + ")."
                + (method.returnType() == void.class ? "doesNothing();" : "returns(...);");
    }

    private static String anyCall(String name, DoubledMethod method) {
        return isOverloaded(method.executable()) ? typedLambda(name, method) : name + "::" + method.name();
    }

    private static boolean isOverloaded(Executable method) {
        int alike = 0;
        for (Method other : Members.publicMethods(method.getDeclaringClass())) {
            alike += other.getName().equals(method.getName()) && !other.isBridge() ? 1 : 0;
        }
        return alike > 1;
    }

    private static String typedLambda(String name, DoubledMethod method) {
        List<String> typed = new ArrayList<>();
        List<String> names = new ArrayList<>();
        Parameter[] parameters = method.executable().getParameters();
        for (int i = 0; i < parameters.length; i++) {
            names.add(parameters[i].isNamePresent() ? parameters[i].getName() : "p" + (i + 1));
            typed.add(boxName(method.parameterTypes()[i]) + " " + names.get(i));
        }
        return "(" + String.join(", ", typed) + ") -> " + name + "." + method.name() + "(" + String.join(", ", names)
                + ")";
    }

    private static String boxName(Class<?> type) {
        return Values.typeName(Boxes.of(type));
    }

    private static boolean allLiteral(Object[] arguments) {
        for (Object argument : arguments) {
            if (!(argument instanceof String
                    || argument instanceof Integer
                    || argument instanceof Boolean
                    || argument instanceof Double)) {
                return false;
            }
        }
        return true;
    }
}
