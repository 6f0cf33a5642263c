package dev.zelotype.engine.run;

import dev.zelotype.call.Act0;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.Lines;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Expectations or checks that must be met one after the other, over any number of doubles.
 */
public final class Order {

    private static final ThreadLocal<Order> CURRENT = new ThreadLocal<>();

    private final List<Expectation> expectations = new ArrayList<>();
    private final List<Check> checks = new ArrayList<>();

    private Order() {}

    static @Nullable Order current() {
        return CURRENT.get();
    }

    /** Collects the statements of a block, and checks those that ask about the past. */
    public static void inThisOrder(Act0 statements) {
        if (CURRENT.get() != null) {
            throw new MisuseException("inThisOrder(...) stands inside another one.", "write one order after the other");
        }
        Order order = new Order();
        CURRENT.set(order);
        try {
            statements.act();
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        } finally {
            CURRENT.remove();
        }
        if (order.expectations.size() + order.checks.size() < 2) {
            throw new MisuseException(
                    "inThisOrder(...) holds fewer than two statements, so there is no order to keep.",
                    "put at least two expect(...) or verify(...) statements with their counts in it");
        }
        if (!order.checks.isEmpty()) {
            order.verify();
        }
    }

    void expect(Expectation expectation) {
        expectations.add(expectation);
    }

    void verify(Check check) {
        checks.add(check);
    }

    /** What must happen before a call of an expectation, or the later one that has begun already; null if it may come. */
    @Nullable
    Expectation blocking(Expectation coming) {
        int place = expectations.indexOf(coming);
        for (int i = 0; i < expectations.size(); i++) {
            Expectation other = expectations.get(i);
            if (i < place && other.wantsMore() || i > place && other.started()) {
                return other;
            }
        }
        return null;
    }

    private void verify() {
        Set<CallRecord> spokenOf = new LinkedHashSet<>();
        for (Check check : checks) {
            spokenOf.addAll(check.matching());
        }
        List<CallRecord> calls = new ArrayList<>(spokenOf);
        calls.sort(CallRecord.IN_ORDER);
        int[] reached = {0, 0};
        if (!reads(calls, 0, 0, reached)) {
            throw failure(calls, reached);
        }
        calls.forEach(CallRecord::expect);
    }

    /** Whether the calls from one place on read as the checks from one place on, each taking as many as its count says. */
    private boolean reads(List<CallRecord> calls, int call, int check, int[] reached) {
        if (call > reached[0] || call == reached[0] && check > reached[1]) {
            reached[0] = call;
            reached[1] = check;
        }
        if (check == checks.size()) {
            return call == calls.size();
        }
        Check wanted = checks.get(check);
        int most = 0;
        while (call + most < calls.size() && most < wanted.count().max() && wanted.covers(calls.get(call + most))) {
            most++;
        }
        for (int taken = most; taken >= wanted.count().min(); taken--) {
            if (reads(calls, call + taken, check + 1, reached)) {
                return true;
            }
        }
        return false;
    }

    private CheckFailure failure(List<CallRecord> calls, int[] reached) {
        SceneState.rank(calls);
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
        return new CheckFailure(
                new FailureText(sentence)
                        .section("Wanted", wanted)
                        .section("Happened", Calls.conversation(calls))
                        .section("Stated at", List.of(Lines.text(Lines.caller())))
                        .toString(),
                null);
    }
}
