package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Verb;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.lang.StackWalker.StackFrame;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * The answers of some calls: a sequence of steps; the last one is repeated.
 */
public class Rule extends Stated {

    private static final Step[] NONE = {};

    /** How many of the steps have been used so far. */
    private final AtomicInteger taken = new AtomicInteger();

    private volatile Step[] steps = NONE;
    private volatile boolean used;

    public Rule(Verb verb, CallPattern pattern, @Nullable StackFrame frame) {
        super(verb, pattern, frame);
    }

    /** Adds answers atomically with respect to calls on other threads; returns true if they are the first. */
    public final synchronized boolean add(Step... more) {
        Step[] known = steps;
        Step[] longer = Arrays.copyOf(known, known.length + more.length);
        System.arraycopy(more, 0, longer, known.length, more.length);
        steps = longer;
        return known.length == 0;
    }

    /** The answers, in order; the last one is repeated. */
    public final List<Step> steps() {
        return List.of(steps);
    }

    /** Whether there is an answer; a demand need not have one. */
    public final boolean answers() {
        return steps.length > 0;
    }

    /** The next answer, which is used up; null if there is none. */
    final @Nullable Step next() {
        Step[] now = steps;
        if (!used) {
            used = true;
        }
        if (now.length == 0) {
            return null;
        }
        if (now.length == 1) {
            if (taken.get() == 0) {
                taken.compareAndSet(0, 1);
            }
            return now[0];
        }
        int turn = taken.getAndUpdate(n -> n < now.length ? n + 1 : n);
        return now[Math.min(turn, now.length - 1)];
    }

    /** The next answer, which is not used up. */
    final Step peek() {
        Step[] now = steps;
        return now[Math.min(taken.get(), now.length - 1)];
    }

    /** The value of the last answer, if it is a plain value; for chains. */
    public final @Nullable Object plainValue() {
        Step[] now = steps;
        return now.length > 0 && now[now.length - 1] instanceof Step.Value value ? value.value() : null;
    }

    /** Whether any call used it. */
    public final boolean used() {
        return used;
    }

    /** The rule on one line, as cells. */
    public String[] row() {
        return new String[] {patternText(), "supposed", at()};
    }
}
