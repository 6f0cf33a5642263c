package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Verb;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.MisuseException;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The requirement that some calls happen, with their number, and optionally their answer.
 *
 * <p>It applies from the first word of its statement on, because {@code expect(dome::open)} is complete. Calls of other
 * threads that arrive before the statement is complete are judged by its final form. Its numbers are guarded by the
 * lock of the scene's {@link Demands}.
 */
public final class Demand extends Rule {

    private final Thread writer = Thread.currentThread();
    /** So many of its calls are kept, to be judged again if the statement continues. */
    private static final int MOST_KEPT = 1000;
    /** So many are kept if they may meet other demands as well. */
    private static final int MOST_KEPT_AMONG_OTHERS = 100_000;

    private final List<Assignment.Taken> taken = new ArrayList<>();
    private final MethodState state;
    private final @Nullable DemandOrder order;
    private volatile Count count = Count.ONCE;
    private boolean counted;
    private boolean settled;
    private int calls;

    public Demand(CallPattern pattern, @Nullable StackFrame frame, MethodState state, @Nullable DemandOrder order) {
        super(Verb.EXPECTED, pattern, frame);
        this.state = state;
        this.order = order;
        if (order != null) {
            order.add(this);
        }
    }

    public Count count() {
        return count;
    }

    /** Whether the test has set a count, rather than relying on the default of one. */
    public boolean isCounted() {
        return counted;
    }

    /** How many calls have met it. */
    public int calls() {
        return calls;
    }

    /** Whether a call of this thread would be one too many. */
    boolean exhausted() {
        return calls >= most();
    }

    /** How many calls it allows, from the view of the current thread. */
    int most() {
        return isBeingWrittenElsewhere() ? Integer.MAX_VALUE : count.max();
    }

    private boolean isBeingWrittenElsewhere() {
        return !settled && Thread.currentThread() != writer;
    }

    boolean wantsMore() {
        return calls < count.min();
    }

    boolean started() {
        return calls > 0;
    }

    boolean isOver() {
        return calls > count.max();
    }

    /**
     * A demand of the same order that has been met partly, the last one if there are several; null if there is none.
     */
    @Nullable
    Demand neighbour() {
        Demand found = null;
        for (Demand other : inOrder()) {
            found = other != this && other.started() ? other : found;
        }
        return found;
    }

    /** The demand of the same order that must be met first, or null. */
    @Nullable
    Demand blockedBy() {
        return order == null ? null : order.blocking(this);
    }

    /** The demands of the same order, or none. */
    List<Demand> inOrder() {
        return order == null ? List.of() : order.demands();
    }

    boolean comesBefore(Demand other) {
        return order != null
                && order == other.order
                && order.demands().indexOf(this) < order.demands().indexOf(other);
    }

    MethodState state() {
        return state;
    }

    void take(Assignment.Taken call) {
        calls++;
        if (taken.size() < (order == null && call.covering().size() == 1 ? MOST_KEPT : MOST_KEPT_AMONG_OTHERS)) {
            taken.add(call);
        }
        if (count.isExact()) {
            call.call().countExactly();
        }
    }

    /** The calls that have met it; null if there were too many to keep. */
    @Nullable
    List<Assignment.Taken> taken() {
        return calls > taken.size() ? null : taken;
    }

    void loseAll() {
        taken.clear();
        calls = 0;
    }

    /** Another demand turned out not to cover some calls. */
    void isAlone(Demand narrowed) {
        taken.replaceAll(each -> each.covering().contains(narrowed)
                        && !narrowed.covers(each.call().arguments())
                ? each.without(narrowed)
                : each);
    }

    /** Removes calls that were counted before but are not covered by the statement in its current form. */
    List<Assignment.Taken> giveBack() {
        if (calls > taken.size()) {
            throw new MisuseException(
                    this + " is narrowed after " + Count.calls(calls) + ", too many to be checked again.",
                    "finish the statement before the subject runs");
        }
        List<Assignment.Taken> back = new ArrayList<>(taken);
        back.removeIf(one -> covers(one.call().arguments()));
        taken.removeAll(back);
        calls -= back.size();
        return back;
    }

    void setCount(Count wanted) {
        counted = true;
        count = wanted;
    }

    /** The statement is complete. */
    void settle() {
        settled = true;
    }

    /** The statement continues after something else. */
    void reopen() {
        settled = false;
    }

    /** The calls beyond the current count of the statement; they no longer count. */
    List<Call> surplus() {
        int tooMany = Math.max(0, calls - count.max());
        List<Assignment.Taken> last = taken.subList(Math.max(0, taken.size() - tooMany), taken.size());
        List<Call> surplus = last.stream().map(Assignment.Taken::call).toList();
        last.clear();
        calls -= tooMany;
        return surplus;
    }

    /** Whether it belongs to the current thread: if that does something else, the statement is complete. */
    boolean isWrittenHere() {
        return Thread.currentThread() == writer;
    }

    @Override
    public String[] row() {
        return new String[] {patternText(), count.text() + ", so far " + calls, at()};
    }

    /** The message about calls beyond the count that may belong to another test. */
    private @Nullable FailureText unownedBeyond() {
        UnassignedCalls unowned = state.part().scene().unowned();
        int more = count.max() == Integer.MAX_VALUE
                ? 0
                : unowned.covered(state.part().owner(), pattern());
        if (more == 0 || calls + more <= count.max()) {
            return null;
        }
        return new FailureText("Expected " + count.text() + " of " + patternText() + ", but " + Count.happened(calls)
                        + ", and " + Count.calls(more) + " on threads of no scene.")
                .expected(count.text(), patternText())
                .section("Expected", at().isEmpty() ? List.of() : List.of(at()));
    }

    /** What is missing, or null if it is met. */
    @Nullable
    FailureText unmet() {
        if (calls >= count.min()) {
            return unownedBeyond();
        }
        return new FailureText(
                        "Expected " + count.text() + " of " + patternText() + ", but " + Count.happened(calls) + ".")
                .expected(count.text(), patternText())
                .section("Expected", at().isEmpty() ? List.of() : List.of(at()))
                .closest(Calls.closest(pattern(), state.calls(), state.part().callsOfOverloads(state.method())));
    }
}
