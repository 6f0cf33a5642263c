package dev.zelotype.engine.statement;

import dev.zelotype.conversation.Verb;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.MethodState;
import dev.zelotype.engine.decide.Rows;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.Times;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.time.Duration;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Verifies how often some calls happened. The check runs when its count is set.
 */
public final class Check extends Statement {

    private final @Nullable Order order = Order.current();
    /** Results of conditions for calls so far. */
    private final Map<Call, Boolean> covered = new IdentityHashMap<>();

    private @Nullable Duration patience;
    private Count count = Count.ONCE;
    private long found;
    /** The calls whose arguments the test has read. */
    private List<Call> seen = List.of();

    private Check(Verb verb, Written written) {
        super(written.said(verb), written.part());
        refuseIfNotRecorded();
        refuseIfUnheard();
        if (!scene().isOpenScene()) {
            throw new MisuseException(
                    verb.call() + "(" + patternText() + ") was written outside a scene, so a missing count would go"
                            + " unnoticed.",
                    "open a scene first: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        scene().look(false);
        scene().demands().settleLast();
    }

    private void refuseIfUnheard() {
        if (part().owner().isOfClass() && !part().receives(method())) {
            throw Replacing.notWatched(patternText(), receiver());
        }
    }

    public static Check of(Serializable shape) {
        Check check = new Check(Verb.VERIFIED, read(shape, false));
        check.scene().begun(check, "give it a count, such as .once() or .never()");
        return check;
    }

    /** Reads the arguments of the calls that a pattern covers. */
    public static Check recorded(Serializable shape) {
        Check check = new Check(Verb.RECORDED, read(shape, false));
        check.refuseWithoutArguments();
        check.pattern().refuseUnlessAllFreeHere();
        check.seen = check.matching();
        check.count = Count.ANY;
        check.found = check.seen.size();
        check.scene().said(check);
        check.seen.forEach(Call::account);
        return check;
    }

    /** The free arguments of the calls that were read, in order. */
    public List<Object[]> recordedArguments() {
        List<Object[]> arguments = new ArrayList<>();
        for (Call call : seen) {
            arguments.add(pattern().free(call.arguments()));
        }
        return arguments;
    }

    /**
     * Fails if fewer or more calls were read; the test cannot continue without the argument.
     *
     * @param least the minimum
     * @param most the maximum
     */
    public void refuseUnlessRecorded(int least, int most) {
        Count wanted = Count.of(least, most);
        if (!wanted.holds(seen.size())) {
            throw explain(wanted, seen.size(), false).failure(null);
        }
    }

    public void within(Duration time) {
        say(() -> waitFor(time));
    }

    private void waitFor(Duration time) {
        if (patience != null) {
            throw new MisuseException(
                    this + " has a timeout already: " + Times.text(patience) + ".", "give one within(...)");
        }
        if (time == null || time.isNegative() || time.isZero()) {
            throw new MisuseException(
                    "The duration of within(...) must be above zero, but was " + time + ".",
                    "give a duration above zero");
        }
        if (order != null) {
            throw new MisuseException(
                    "within(...) cannot be used inside inThisOrder(...).",
                    "wait for the last call with a verify(...).within(...) before the order");
        }
        patience = time;
    }

    public void count(int least, int most) {
        say(() -> check(Count.of(least, most)));
    }

    private void check(Count wanted) {
        if (isFixed()) {
            throw new MisuseException(
                    this + " has a count already: " + count.text() + ".", "write a new verify(...) for another count");
        }
        fix();
        scene().completed(this);
        count = wanted;
        scene().said(this);
        if (order != null) {
            refuseWithoutArguments();
            order.verify(this);
            return;
        }
        Waiting waiting = patience == null ? null : new Waiting(patience, wanted);
        found = waiting == null ? countNow() : waiting.until(this::countNow);
        boolean interrupted = waiting != null && waiting.wasInterrupted();
        if (!wanted.holds(found) || wanted.max() < found + unowned() || interrupted) {
            scene().failed(this, explain(wanted, found, interrupted).failure(null));
        }
        accountAll();
    }

    @Override
    public Count count() {
        return count;
    }

    /** The number of calls at the time of the check; within an order, the current number. */
    @Override
    public int found() {
        return (int)
                Math.min(Integer.MAX_VALUE, order == null ? found : matching().size());
    }

    @Override
    public @Nullable Order order() {
        return order;
    }

    boolean covers(Call call) {
        return call.log() == state() && isCovered(call);
    }

    /** Whether the pattern covers a call; conditions of the test are evaluated only once per call. */
    private boolean isCovered(Call call) {
        if (pattern().conditions().isEmpty()) {
            return pattern().covers(call.arguments());
        }
        Boolean known = covered.get(call);
        if (known == null) {
            known = pattern().covers(call.arguments());
            covered.put(call, known);
        }
        return known;
    }

    /** The calls that the pattern covers, oldest first. */
    List<Call> matching() {
        List<Call> calls = state().calls();
        calls.removeIf(call -> !isCovered(call));
        return calls;
    }

    private long countNow() {
        MethodState log = state();
        boolean all = pattern().coversAll();
        if (!all) {
            refuseWithoutArguments();
        }
        long[] found = {log.countedOnly()};
        log.each(call -> found[0] += all || isCovered(call) ? 1 : 0);
        return found[0];
    }

    /** Calls that may belong to this check, or to another test. */
    private int unowned() {
        return count.max() == Integer.MAX_VALUE ? 0 : scene().unowned().covered(part().owner(), pattern());
    }

    private void accountAll() {
        state().each(call -> {
            if (isCovered(call)) {
                call.expect();
                if (count.isExact()) {
                    call.countExactly();
                }
            }
        });
        state().accountAllCounted();
    }

    private void refuseWithoutArguments() {
        if (state().keepsOnlyCount()) {
            throw new MisuseException(
                    "keepOnlyCounts(" + receiver() + ") records how often " + receiver() + "." + method().name()
                            + " is called, but not its arguments or their order.",
                    "check only the number of all calls, or remove keepOnlyCounts(...)");
        }
    }

    private FailureText explain(Count wanted, long found, boolean interrupted) {
        scene().calls();
        String time = patience == null ? "" : " within " + Times.text(patience);
        FailureText text = new FailureText("Expected " + wanted.text() + " of " + said().patternText() + time + ", but "
                + (interrupted ? "the waiting thread was interrupted, and until then " : "") + Count.happened(found)
                + (wanted.holds(found) && !interrupted
                        ? ", and " + Count.calls(unowned()) + " on threads of no scene"
                        : "")
                + ".");
        if (found < wanted.min()) {
            text.closest(Calls.closest(pattern(), state().calls(), part().callsOfOverloads(method())));
        } else {
            text.section(found == 1 ? "The call" : "The calls", Rows.of(matching()));
        }
        text.expected(wanted.text(), said().patternText());
        return scene().withConversation(text);
    }
}
