package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Asks how often some calls happened. It checks when it is given its count.
 */
public final class Check extends Statement {

    private final @Nullable Order order = Order.current();
    private @Nullable Duration patience;
    private Count count = Count.ONCE;
    private long found;

    private Check(String verb, Written written) {
        super(verb, written);
        refuseIfNotRecorded();
        refuseIfUnheard();
        if (!scene().isOpenScene()) {
            throw new MisuseException(
                    verb + "(" + patternText() + ") stands outside any scene: nobody would notice if"
                            + " it were left without a count.",
                    "open a scene first: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        scene().expectations().settleLast();
    }

    private void refuseIfUnheard() {
        if (!told().hears(pattern().method())) {
            throw Replacements.notWatched(Calls.pattern(pattern()), told().name());
        }
    }

    public static Check of(Serializable shape) {
        Check check = new Check("verify", read(shape, false));
        check.scene().begun(check, "give it a count, such as .once() or .never()");
        return check;
    }

    /** The arguments of the calls that a pattern covers. */
    public static <T> List<T> recorded(Serializable shape, Function<Object[], T> typed) {
        Check check = new Check("recorded", read(shape, false));
        check.refuseWithoutArguments();
        check.pattern().refuseUnlessAllFreeHere();
        List<T> found = new ArrayList<>();
        for (CallRecord call : check.matching()) {
            call.account();
            found.add(typed.apply(check.pattern().free(call.arguments())));
        }
        // Not a copy that refuses null, since an argument may be null.
        return Collections.unmodifiableList(found);
    }

    public void within(Duration time) {
        said(() -> waitFor(time));
    }

    private void waitFor(Duration time) {
        if (patience != null) {
            throw new MisuseException(this + " waits already: " + Waiting.text(patience) + ".", "give one within(...)");
        }
        if (time == null || time.isNegative() || time.isZero()) {
            throw new MisuseException("within(" + time + ") leaves no time.", "give a duration above zero");
        }
        if (order != null) {
            throw new MisuseException(
                    "within(...) stands inside inThisOrder(...).",
                    "wait for the last call with a verify(...).within(...) before the order");
        }
        patience = time;
    }

    public void count(int least, int most) {
        said(() -> check(Count.of(least, most)));
    }

    private void check(Count wanted) {
        if (isFixed()) {
            throw new MisuseException(
                    this + " has been checked already: " + count.text() + ".",
                    "write a new verify(...) for another count");
        }
        fix();
        scene().completed(this);
        count = wanted;
        scene().checked(this);
        if (order != null) {
            refuseWithoutArguments();
            order.verify(this);
            return;
        }
        Waiting waiting = patience == null ? null : new Waiting(patience, wanted);
        found = waiting == null ? countNow() : waiting.until(this::countNow);
        boolean interrupted = waiting != null && waiting.wasInterrupted();
        if (!wanted.holds(found) || interrupted) {
            throw new CheckFailure(explain(wanted, found, interrupted), null);
        }
        accountAll();
    }

    @Override
    Count count() {
        return count;
    }

    /** How many calls there were when it asked; within an order, how many there are now. */
    @Override
    int found() {
        return (int)
                Math.min(Integer.MAX_VALUE, order == null ? found : matching().size());
    }

    @Override
    @Nullable
    Order order() {
        return order;
    }

    boolean covers(CallRecord call) {
        return call.log() == log() && pattern().covers(call.arguments());
    }

    /** The calls that the pattern covers, oldest first. */
    List<CallRecord> matching() {
        List<CallRecord> calls = log().calls();
        calls.removeIf(call -> !pattern().covers(call.arguments()));
        return calls;
    }

    private long countNow() {
        MethodLog log = log();
        boolean all = pattern().coversAll();
        if (!all) {
            refuseWithoutArguments();
        }
        long[] found = {log.countedOnly()};
        log.each(call -> found[0] += all || pattern().covers(call.arguments()) ? 1 : 0);
        return found[0];
    }

    private void accountAll() {
        log().each(call -> {
            if (pattern().covers(call.arguments())) {
                call.expect();
            }
        });
        log().accountAllCounted();
    }

    private void refuseWithoutArguments() {
        if (log().keepsOnlyCount()) {
            throw new MisuseException(
                    "Of calls of " + told().name() + "." + pattern().method().name()
                            + " only the number is kept, so nothing can be said about their arguments or order.",
                    "check the number of all calls, or leave out keepOnlyCounts(...)");
        }
    }

    private String explain(Count wanted, long found, boolean interrupted) {
        scene().calls();
        String time = patience == null ? "" : " within " + Waiting.text(patience);
        FailureText text = new FailureText("Expected " + wanted.text() + " of " + patternText() + time + ", but "
                + (interrupted ? "the waiting thread was interrupted, and until then " : "") + Count.happened(found)
                + ".");
        if (found < wanted.min()) {
            text.section(
                    "Closest",
                    Calls.closest(
                            pattern(),
                            log().calls(),
                            part().callsOfOverloads(pattern().method())));
        } else {
            text.section(found == 1 ? "The call" : "The calls", Rows.of(matching()));
        }
        return scene().withConversation(text).toString();
    }
}
