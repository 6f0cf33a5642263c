package dev.zelotype.engine.statement;

import dev.zelotype.call.Act0;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.decide.DemandOrder;
import dev.zelotype.engine.decide.Rows;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Expectations or checks that must be met in order, across any number of doubles.
 */
public final class Order {

    private static final ThreadLocal<Order> CURRENT = new ThreadLocal<>();

    private final DemandOrder demands = new DemandOrder();
    private final List<Check> checks = new ArrayList<>();

    private Order() {}

    static @Nullable Order current() {
        return CURRENT.get();
    }

    /** Collects the statements of a block, and runs the checks of past calls. */
    public static void inThisOrder(Act0 statements) {
        if (CURRENT.get() != null) {
            throw new MisuseException(
                    "inThisOrder(...) cannot be used inside inThisOrder(...).", "write one order after the other");
        }
        Order order = new Order();
        CURRENT.set(order);
        try {
            statements.act();
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        } finally {
            CURRENT.remove();
        }
        if (order.demands.size() + order.checks.size() < 2) {
            throw new MisuseException(
                    "inThisOrder(...) contains fewer than two statements, so it checks nothing.",
                    "put at least two expect(...) or verify(...) statements with their counts in it");
        }
        if (!order.checks.isEmpty()) {
            order.verify();
        }
    }

    DemandOrder demands() {
        return demands;
    }

    void verify(Check check) {
        checks.add(check);
    }

    private void verify() {
        Set<Call> spokenOf = new LinkedHashSet<>();
        for (Check check : checks) {
            spokenOf.addAll(check.matching());
        }
        List<Call> calls = new ArrayList<>(spokenOf);
        calls.sort(Call.IN_ORDER);
        int[] reached = reached(calls);
        if (reached[0] < calls.size() || reached[1] < checks.size()) {
            throw failure(calls, reached);
        }
        calls.forEach(Call::expect);
    }

    /**
     * How far the calls match the checks; each check takes as many consecutive calls as its count allows. For each
     * check it is computed once after how many calls it can be complete, so the time grows with the number of calls,
     * not with the number of possible assignments.
     *
     * @return the greatest number of calls that the checks can account for, and the number of these checks
     */
    private int[] reached(List<Call> calls) {
        int[] furthest = {0, 0};
        boolean[] before = new boolean[calls.size() + 1];
        before[0] = true;
        for (int check = 0; check < checks.size(); check++) {
            boolean[] after = after(checks.get(check), calls, before);
            for (int call = calls.size(); call >= furthest[0]; call--) {
                if (after[call]) {
                    furthest = new int[] {call, check + 1};
                    break;
                }
            }
            before = after;
        }
        return before[calls.size()] ? new int[] {calls.size(), checks.size()} : furthest;
    }

    /** After how many calls a check can be complete, given after how many it can begin. */
    private static boolean[] after(Check check, List<Call> calls, boolean[] before) {
        int size = calls.size();
        int[] starting = new int[size + 2];
        int run = 0;
        for (int call = size; call >= 0; call--) {
            run = call < size && check.covers(calls.get(call)) ? run + 1 : 0;
            int most = Math.min(run, check.count().max());
            if (before[call] && check.count().min() <= most) {
                starting[call + check.count().min()]++;
                starting[call + most + 1]--;
            }
        }
        boolean[] after = new boolean[size + 1];
        int open = 0;
        for (int call = 0; call <= size; call++) {
            open += starting[call];
            after[call] = open > 0;
        }
        return after;
    }

    private CheckFailure failure(List<Call> calls, int[] reached) {
        SpokenScene scene = checks.get(0).scene();
        SpokenScene.rank(calls);
        List<String> wanted = new ArrayList<>();
        for (int i = 0; i < checks.size(); i++) {
            wanted.add((i + 1) + "  " + checks.get(i).patternText() + ", "
                    + checks.get(i).count().text());
        }
        String sentence = "The calls did not happen in this order: "
                + (reached[0] < calls.size()
                        ? Calls.call(calls.get(reached[0])) + " (call "
                                + calls.get(reached[0]).number() + ") came out of turn."
                        : reached[1] < checks.size()
                                ? checks.get(reached[1]).patternText() + " is missing at the end."
                                : "a call is missing.");
        FailureText text = new FailureText(sentence)
                .section("Wanted", wanted)
                .section("Happened", Rows.of(calls))
                .section("Stated", List.of(Lines.at(Lines.caller())));
        return scene.withHints(text).failure(null);
    }
}
