package dev.zelotype.engine.pattern.rule;

import dev.zelotype.basics.Boxes;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Array;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The calls that a method reference or a lambda describes: a method of a double, a rule for each argument, and
 * conditions on the free parameters. Immutable; narrowing returns a new pattern.
 */
public final class CallPattern {

    public static final Object[] NO_ARGUMENTS = {};

    private final Participant participant;
    private final DoubledMethod method;
    private final ArgumentRule[] rules;
    private final Class<?>[] freeTypes;
    private final List<Condition> conditions;
    private final boolean coversAll;

    /**
     * A condition on the free parameters.
     *
     * @param description its name in messages
     * @param test the condition
     */
    public record Condition(@Nullable String description, Predicate<Object[]> test) {

        boolean holds(Object[] free) {
            boolean entered = Unrecorded.enter();
            try {
                return test.test(free);
            } catch (RuntimeException e) {
                throw new MisuseException(
                        "The condition " + (description == null ? "" : "'" + description + "' ") + "of a pattern threw "
                                + e + ".",
                        "make it return true or false for every argument, including null",
                        e);
            } finally {
                Unrecorded.leave(entered);
            }
        }
    }

    public CallPattern(
            Participant participant,
            DoubledMethod method,
            ArgumentRule[] rules,
            Class<?>[] freeTypes,
            List<Condition> conditions) {
        this.participant = participant;
        this.method = method;
        this.rules = rules;
        this.freeTypes = freeTypes;
        this.conditions = conditions;
        this.coversAll = conditions.isEmpty() && eachRuleIsAnotherParameter();
    }

    /** Any call of a method. */
    public static CallPattern anyCall(Participant participant, DoubledMethod method, Class<?>[] freeTypes) {
        ArgumentRule[] rules = new ArgumentRule[freeTypes.length];
        for (int i = 0; i < rules.length; i++) {
            Class<?> declared = method.parameterTypes()[i];
            rules[i] =
                    new ArgumentRule.Free(i, freeTypes[i], declared.isPrimitive() ? Boxes.of(declared) : freeTypes[i]);
        }
        return new CallPattern(participant, method, rules, freeTypes, List.of());
    }

    public Participant participant() {
        return participant;
    }

    public DoubledMethod method() {
        return method;
    }

    public ArgumentRule[] rules() {
        return rules;
    }

    public List<Condition> conditions() {
        return conditions;
    }

    /** How many arguments must equal a value. */
    public int pinned() {
        int pinned = 0;
        for (ArgumentRule rule : rules) {
            pinned += rule instanceof ArgumentRule.Free || rule instanceof ArgumentRule.Passed ? 0 : 1;
        }
        return pinned;
    }

    /** The pattern of a chain's next call, on the double that this one returns. */
    public CallPattern next(Participant resolved, DoubledMethod itsMethod, ArgumentRule[] itsRules) {
        return new CallPattern(resolved, itsMethod, itsRules, freeTypes, conditions);
    }

    /**
     * Whether another pattern on the same method describes the same calls: by equality of arguments, not by their text.
     */
    public boolean means(CallPattern other) {
        if (method != other.method || rules.length != other.rules.length || !conditions.equals(other.conditions)) {
            return false;
        }
        for (int i = 0; i < rules.length; i++) {
            if (!rules[i].means(other.rules[i])) {
                return false;
            }
        }
        return true;
    }

    /** The type of a free parameter. */
    public Class<?> freeType(int parameter) {
        return freeTypes[parameter];
    }

    /** Whether any call of the method is covered, whatever its arguments. */
    public boolean coversAll() {
        return coversAll;
    }

    private boolean eachRuleIsAnotherParameter() {
        boolean[] used = new boolean[freeTypes.length];
        for (int i = 0; i < rules.length; i++) {
            if (rules[i] instanceof ArgumentRule.Passed) {
                continue;
            }
            if (!(rules[i] instanceof ArgumentRule.Free free)
                    || used[free.parameter()]
                    || !free.coversAll(method.parameterTypes()[i])) {
                return false;
            }
            used[free.parameter()] = true;
        }
        return true;
    }

    public boolean covers(Object[] arguments) {
        return coversAll || free(arguments) != null;
    }

    /** The values of the free parameters in a call, or null if the call is not covered. */
    public Object @Nullable [] free(Object[] arguments) {
        Object[] free = openValues();
        for (int i = 0; i < rules.length; i++) {
            if (!rules[i].covers(arguments[i], free)) {
                return null;
            }
        }
        for (int i = 0; i < conditions.size(); i++) {
            if (!conditions.get(i).holds(free)) {
                return null;
            }
        }
        return free;
    }

    private Object[] openValues() {
        if (freeTypes.length == 0) {
            return NO_ARGUMENTS;
        }
        Object[] free = new Object[freeTypes.length];
        Arrays.fill(free, ArgumentRule.Free.OPEN);
        return free;
    }

    /** The indexes of the arguments that are not covered; empty if only the conditions fail. */
    public List<Integer> uncovered(Object[] arguments) {
        List<Integer> uncovered = new ArrayList<>();
        Object[] free = openValues();
        for (int i = 0; i < rules.length; i++) {
            if (!rules[i].covers(arguments[i], free)) {
                uncovered.add(i);
            }
        }
        return uncovered;
    }

    /** The conditions that fail for a call whose arguments are covered. */
    public List<Condition> unmet(Object[] arguments) {
        Object[] free = openValues();
        for (int i = 0; i < rules.length; i++) {
            if (!rules[i].covers(arguments[i], free)) {
                return List.of();
            }
        }
        List<Condition> unmet = new ArrayList<>();
        for (Condition condition : conditions) {
            if (!condition.holds(free)) {
                unmet.add(condition);
            }
        }
        return unmet;
    }

    /** The pattern with values for its free parameters. */
    public CallPattern with(Object[] values) {
        refuseUnlessAllFreeHere();
        ArgumentRule[] narrowed = new ArgumentRule[rules.length];
        for (int i = 0; i < rules.length; i++) {
            narrowed[i] = bind(rules[i], values, i, method.parameterTypes()[i]);
        }
        // The values remain the free parameters of conditions and answers, so their types remain as well.
        return new CallPattern(participant, method, narrowed, freeTypes, conditions);
    }

    private ArgumentRule bind(ArgumentRule rule, Object[] values, int argument, Class<?> declared) {
        if (rule instanceof ArgumentRule.Free free) {
            refuseIfImpossible(free, values[free.parameter()], argument, declared);
            return new ArgumentRule.Bound(free, values[free.parameter()]);
        } else if (rule instanceof ArgumentRule.Elements elements) {
            ArgumentRule[] bound = new ArgumentRule[elements.rules().length];
            for (int i = 0; i < bound.length; i++) {
                bound[i] = bind(elements.rules()[i], values, argument, declared.getComponentType());
            }
            return new ArgumentRule.Elements(bound);
        } else if (rule instanceof ArgumentRule.Bound) {
            throw new MisuseException("The free parameters of this pattern have values already.", "use with(...) once");
        }
        return rule;
    }

    /** Refuses a value that no call can pass, because such a check could never fail. */
    private void refuseIfImpossible(ArgumentRule.Free free, @Nullable Object value, int argument, Class<?> declared) {
        boolean possible =
                value == null ? !declared.isPrimitive() : Boxes.of(free.type()).isInstance(value);
        if (!possible) {
            String type = (declared.isPrimitive() ? declared : free.type()).getSimpleName();
            throw new MisuseException(
                    "with(...) was given "
                            + (value == null
                                    ? "null"
                                    : "a value of type " + value.getClass().getSimpleName())
                            + " for '" + method.parameterName(argument) + "' of " + participant.name() + "."
                            + method.name()
                            + ", which takes " + (declared.isPrimitive() ? "a primitive " : "a ") + type + ".",
                    "give a value of type " + type);
        }
    }

    /** The arguments of a call with other values for the free parameters. */
    public Object[] arguments(Object[] of, Object[] free) {
        Object[] arguments = of.clone();
        for (int i = 0; i < rules.length; i++) {
            arguments[i] = argument(rules[i], arguments[i], free);
        }
        return arguments;
    }

    private static @Nullable Object argument(ArgumentRule rule, @Nullable Object was, Object[] free) {
        if (rule instanceof ArgumentRule.Free parameter) {
            return parameter.passed(free[parameter.parameter()]);
        } else if (rule instanceof ArgumentRule.Bound bound) {
            return argument(bound.free(), was, free);
        } else if (rule instanceof ArgumentRule.Elements elements) {
            Object copy = Array.newInstance(was.getClass().getComponentType(), elements.rules().length);
            for (int i = 0; i < elements.rules().length; i++) {
                Array.set(copy, i, argument(elements.rules()[i], Array.get(was, i), free));
            }
            return copy;
        }
        return was;
    }

    /** How many free parameters have no value yet. */
    public int open() {
        boolean[] open = new boolean[freeTypes.length];
        for (ArgumentRule rule : rules) {
            markOpen(rule, open);
        }
        int count = 0;
        for (boolean each : open) {
            count += each ? 1 : 0;
        }
        return count;
    }

    private static void markOpen(ArgumentRule rule, boolean[] open) {
        if (rule instanceof ArgumentRule.Free free) {
            open[free.parameter()] = true;
        } else if (rule instanceof ArgumentRule.Elements elements) {
            for (ArgumentRule element : elements.rules()) {
                markOpen(element, open);
            }
        }
    }

    /** The arguments of the described call, with these values for its free parameters. */
    public Object[] example(Object[] free) {
        Object[] arguments = new Object[rules.length];
        for (int i = 0; i < rules.length; i++) {
            arguments[i] = example(rules[i], method.parameterTypes()[i], free);
        }
        return arguments;
    }

    private static @Nullable Object example(ArgumentRule rule, Class<?> type, Object[] free) {
        if (rule instanceof ArgumentRule.Free parameter) {
            return parameter.passed(free[parameter.parameter()]);
        } else if (rule instanceof ArgumentRule.Bound bound) {
            return bound.free().passed(bound.value());
        } else if (rule instanceof ArgumentRule.Elements elements) {
            Object array = Array.newInstance(type.getComponentType(), elements.rules().length);
            for (int i = 0; i < elements.rules().length; i++) {
                Array.set(array, i, example(elements.rules()[i], type.getComponentType(), free));
            }
            return array;
        }
        return rule instanceof ArgumentRule.Literal literal ? literal.value() : null;
    }

    /** The pattern with an additional condition. */
    public CallPattern where(@Nullable String description, Predicate<Object[]> condition) {
        refuseUnlessAllFreeHere();
        List<Condition> all = new ArrayList<>(conditions);
        all.add(new Condition(description, condition));
        return new CallPattern(participant, method, rules, freeTypes, List.copyOf(all));
    }

    /** Conditions need all free parameters in this call, not in an earlier call of the chain. */
    public void refuseUnlessAllFreeHere() {
        boolean[] here = new boolean[freeTypes.length];
        for (ArgumentRule rule : rules) {
            mark(rule, here);
        }
        for (boolean each : here) {
            if (!each) {
                throw new MisuseException(
                        "A free parameter may only be used in the last call of a chain.",
                        "put a value there, or suppose the earlier call in a statement of its own");
            }
        }
    }

    public static void mark(ArgumentRule rule, boolean[] here) {
        if (rule instanceof ArgumentRule.Free free) {
            here[free.parameter()] = true;
        } else if (rule instanceof ArgumentRule.Bound bound) {
            mark(bound.free(), here);
        } else if (rule instanceof ArgumentRule.Elements elements) {
            for (ArgumentRule element : elements.rules()) {
                mark(element, here);
            }
        }
    }
}
