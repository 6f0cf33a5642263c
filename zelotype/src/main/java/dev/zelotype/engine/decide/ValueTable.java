package dev.zelotype.engine.decide;

import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Finds the newest of very many rules of one method that covers a call, in a time that does not grow with the number of
 * rules for plain values. Other rules are tried one by one. Rules are added by one thread at a time, before they are
 * published; calls may come from any thread.
 */
final class ValueTable {

    /** Fewer rules are faster to try one by one. */
    static final int WORTHWHILE = 8;

    private static final int[] NONE = {};

    private final Map<Values, Integer> newest = new ConcurrentHashMap<>();
    private volatile int[] others = NONE;

    /** The arguments of a call if each is a value that is only equal to values of its own class. */
    private record Values(@Nullable Object[] arguments) {

        @Override
        public boolean equals(Object other) {
            return other instanceof Values values && Arrays.equals(arguments, values.arguments);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(arguments);
        }
    }

    void add(Rule rule, int index) {
        Values values = valuesOf(rule.pattern());
        if (values != null) {
            newest.put(values, index);
        } else {
            int[] longer = Arrays.copyOf(others, others.length + 1);
            longer[others.length] = index;
            others = longer;
        }
    }

    /** The newest of the rules that covers a call. */
    @Nullable
    Rule covering(Rule[] rules, Object[] arguments) {
        Integer found = arePlain(arguments) ? newest.get(new Values(arguments)) : null;
        int best = found == null ? -1 : found;
        if (best >= rules.length) {
            // A rule that is being added has already replaced another.
            return oneByOne(rules, arguments);
        }
        int[] rest = others;
        for (int i = rest.length - 1; i >= 0 && rest[i] > best; i--) {
            if (rest[i] < rules.length && rules[rest[i]].covers(arguments)) {
                return rules[rest[i]];
            }
        }
        return best < 0 ? null : rules[best];
    }

    /** A later statement refines an earlier one. */
    static @Nullable Rule oneByOne(Rule[] rules, Object[] arguments) {
        for (int i = rules.length - 1; i >= 0; i--) {
            if (rules[i].covers(arguments)) {
                return rules[i];
            }
        }
        return null;
    }

    private static @Nullable Values valuesOf(CallPattern pattern) {
        ArgumentRule[] rules = pattern.rules();
        Object[] values = new Object[rules.length];
        for (int i = 0; i < rules.length; i++) {
            if (!(rules[i] instanceof ArgumentRule.Literal literal)) {
                return null;
            }
            values[i] = literal.value();
        }
        return arePlain(values) && pattern.conditions().isEmpty() ? new Values(values) : null;
    }

    /** Whether {@code equals} and {@code hashCode} are the JDK's own. */
    private static boolean arePlain(@Nullable Object[] arguments) {
        for (Object each : arguments) {
            boolean plain = each == null
                    || each instanceof String
                    || each instanceof Integer
                    || each instanceof Long
                    || each instanceof Boolean
                    || each instanceof Enum
                    || each instanceof Character
                    || each instanceof Double
                    || each instanceof Short
                    || each instanceof Byte
                    || each instanceof Float
                    || each instanceof Class;
            if (!plain) {
                return false;
            }
        }
        return true;
    }
}
