package dev.zelotype.engine.explain;

import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.engine.pattern.rule.Equality;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a call differs from a pattern, argument by argument.
 */
final class Differences {

    private Differences() {}

    static List<String> of(CallPattern pattern, Object[] arguments) {
        List<String> lines = new ArrayList<>();
        for (int i : pattern.uncovered(arguments)) {
            String name = pattern.method().parameterName(i);
            lines.add(name + ": expected "
                    + Calls.rule(name, pattern.rules()[i], pattern.method().parameterTypes()[i]) + ", was "
                    + Values.print(name, arguments[i]));
            if (pattern.rules()[i] instanceof ArgumentRule.Literal literal) {
                addReason(lines, literal.value(), arguments[i]);
            } else if (pattern.rules()[i] instanceof ArgumentRule.Bound bound) {
                addReason(lines, bound.value(), arguments[i]);
            }
        }
        for (CallPattern.Condition condition : pattern.unmet(arguments)) {
            lines.add("condition " + (condition.description() == null ? "" : "'" + condition.description() + "' ")
                    + "does not hold");
        }
        return lines;
    }

    private static void addReason(List<String> lines, @Nullable Object expected, @Nullable Object actual) {
        if (expected == null || actual == null) {
            return;
        }
        boolean onlyItself = isOnlyItself(expected);
        if (!Values.print(expected).equals(Values.print(actual))) {
            if (onlyItself) {
                lines.add("  " + onlyItself(expected));
            }
            return;
        }
        lines.add("  both print alike, but " + reason(expected, actual));
    }

    private static String reason(Object expected, Object actual) {
        Class<?> type = expected.getClass();
        if (type != actual.getClass()) {
            boolean sameName = Values.typeName(type).equals(Values.typeName(actual.getClass()));
            return "one is of "
                    + (sameName
                            ? type.getName() + " and the other of another class of that name"
                            : Values.typeName(type) + " and the other of " + Values.typeName(actual.getClass()));
        }
        if (expected instanceof String text) {
            return "they differ from character " + (firstDifference(text, (String) actual) + 1) + " on";
        }
        if (type.isArray()) {
            return "their elements are not equal";
        }
        return isOnlyItself(expected) ? onlyItself(expected) : Values.typeName(type) + ".equals says that they differ";
    }

    private static String onlyItself(Object expected) {
        String type = Values.typeName(expected.getClass());
        return (expected.getClass().isHidden() ? "a lambda" : type)
                + " does not override equals, so only the same object is equal to it: write a free parameter, with a"
                + " condition in .where(...)";
    }

    /** Whether an object is only equal to itself, and is not the only object of its kind. */
    private static boolean isOnlyItself(Object object) {
        return !Equality.isDefinedBy(object.getClass())
                && !(object instanceof Class)
                && DoubleClass.participantOf(object) == null;
    }

    private static int firstDifference(String a, String b) {
        int i = 0;
        while (i < Math.min(a.length(), b.length()) && a.charAt(i) == b.charAt(i)) {
            i++;
        }
        return i;
    }
}
