package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Asks how often some calls happened. It checks when it is given its count.
 */
public final class Check extends Statement {

    private final SceneState owner;
    private final @Nullable Order order = Order.current();
    private @Nullable Duration patience;
    private Count count = Count.ONCE;
    private long found;

    private Check(String verb, CallPattern pattern) {
        super(verb, pattern);
        refuseIfClosed();
        refuseIfNotRecorded();
        refuseIfUnheard();
        SceneState own = told().scene();
        SceneState current = own.isOpenScene() ? own : SceneState.current();
        if (current == null) {
            throw new MisuseException(
                    verb + "(" + patternText() + ") stands outside any scene: nobody would notice if"
                            + " it were left without a count.",
                    "open a scene first: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        this.owner = current;
    }

    private void refuseIfUnheard() {
        if (!told().hears(pattern().method())) {
            throw Replacements.notWatched(Calls.pattern(pattern()), told().name());
        }
    }

    public static Check of(Serializable shape) {
        Check check = new Check("verify", read(shape, false));
        check.owner.begun(check, "give it a count, such as .once() or .never()");
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
        return List.copyOf(found);
    }

    public void within(Duration time) {
        if (time.isNegative() || time.isZero()) {
            throw new MisuseException("within(" + time + ") leaves no time.", "give a duration above zero");
        }
        if (order != null) {
            throw new MisuseException(
                    "within(...) stands inside inThisOrder(...).",
                    "wait for the last call with a verify(...).within(...) before the order");
        }
        patience = time;
    }

    public void count(Count wanted) {
        fix();
        owner.completed(this);
        count = wanted;
        owner.checked(this);
        if (order != null) {
            refuseWithoutArguments();
            order.verify(this);
            return;
        }
        found = patience == null ? countNow() : Waiting.until(patience, this::countNow, wanted);
        if (!wanted.holds(found)) {
            throw new CheckFailure(explain(wanted, found), null);
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

    private MethodLog log() {
        return told().state(pattern().method()).log();
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
    }

    private void refuseWithoutArguments() {
        if (log().keepsOnlyCount()) {
            throw new MisuseException(
                    "Of calls of " + told().name() + "." + pattern().method().name()
                            + " only the number is kept, so nothing can be said about their arguments or order.",
                    "check the number of all calls, or leave out keepOnlyCounts(...)");
        }
    }

    private String explain(Count wanted, long found) {
        told().scene().calls();
        String time = patience == null ? "" : " within " + patience.toMillis() + " ms";
        FailureText text = new FailureText(
                "Expected " + wanted.text() + " of " + patternText() + time + ", but " + Count.happened(found) + ".");
        if (found < wanted.min()) {
            text.section("Closest", Calls.closest(pattern(), log()));
        } else {
            text.section(found == 1 ? "The call" : "The calls", Calls.conversation(matching()));
        }
        return told().scene().withConversation(text).toString();
    }
}
