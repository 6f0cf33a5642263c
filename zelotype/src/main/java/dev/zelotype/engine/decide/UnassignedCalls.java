package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Calls that happened while a scene was open, to doubles from outside any scene, on threads without a scene. They may
 * belong to the scene's test or to another one, so a check that they could break must fail.
 */
public final class UnassignedCalls {

    private static final int MOST = 1000;

    private final List<One> all = new ArrayList<>();

    private record One(
            DoubleState owner,
            DoubledMethod method,
            Object[] arguments,
            String thread,
            @Nullable StackFrame caller) {

        String line() {
            return Columns.gap(Calls.call(owner, method, arguments) + " on " + thread, Lines.at(caller));
        }
    }

    synchronized void add(DoubleState owner, DoubledMethod method, Object[] arguments) {
        if (all.size() < MOST) {
            all.add(new One(
                    owner,
                    method,
                    arguments,
                    Thread.currentThread().getName(),
                    Lines.settled(Lines.caller(owner.isWovenItself(method)))));
        }
    }

    /** How many of them a pattern covers. */
    public int covered(DoubleState owner, CallPattern pattern) {
        int covered = 0;
        for (One one : copied()) {
            if (one.owner() == owner && one.method() == pattern.method() && pattern.covers(one.arguments())) {
                covered++;
            }
        }
        return covered;
    }

    /** Those of a double, one line each. */
    public List<String> of(DoubleState owner) {
        List<String> lines = new ArrayList<>();
        for (One one : copied()) {
            if (one.owner() == owner) {
                lines.add(one.line());
            }
        }
        return lines;
    }

    /** All of them, one line each. */
    List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (One one : copied()) {
            lines.add(one.line());
        }
        return lines;
    }

    /** A copy, because conditions are code of the test, which runs outside the lock. */
    private synchronized List<One> copied() {
        return List.copyOf(all);
    }
}
