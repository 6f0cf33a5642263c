package dev.zelotype.engine.decide;

import dev.zelotype.doubles.Verb;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.MisuseException;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Says that some calls must happen, how often, and optionally what they answer.
 *
 * <p>It is heeded from the first word of its sentence on, since {@code expect(dome::open)} is a whole one. Calls of other
 * threads that come while the sentence is still being written are held against what it finally says. Its numbers are guarded
 * by the lock of the scene's {@link Demands}.
 */
public final class Demand extends Rule {

    private final Thread writer = Thread.currentThread();
    /** So many of its calls are kept, to be judged anew if the sentence goes on. */
    private static final int MOST_KEPT = 1000;

    private final List<Call> taken = new ArrayList<>();
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

    /** Whether the test has said how often, and does not leave it at once. */
    public boolean isCounted() {
        return counted;
    }

    /** How many calls have met it. */
    public int calls() {
        return calls;
    }

    /** Whether a call of this thread would be one too many. */
    boolean exhausted() {
        return calls >= count.max() && !isBeingWrittenElsewhere();
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

    /** The demand of the same order that must be met first, or null. */
    @Nullable
    Demand blockedBy() {
        return order == null ? null : order.blocking(this);
    }

    void take(Call call) {
        calls++;
        if (taken.size() < MOST_KEPT) {
            taken.add(call);
        }
        if (count.isExact()) {
            call.countExactly();
        }
    }

    /** Takes back what was counted though the sentence, as it reads by now, does not cover it. */
    List<Call> giveBack() {
        if (calls > taken.size()) {
            throw new MisuseException(
                    this + " is narrowed after " + Count.calls(calls) + ", too many to be judged again.",
                    "finish the sentence before the subject runs");
        }
        List<Call> back = new ArrayList<>(taken);
        back.removeIf(one -> covers(one.arguments()));
        taken.removeAll(back);
        calls -= back.size();
        return back;
    }

    void setCount(Count wanted) {
        counted = true;
        count = wanted;
    }

    /**
     * The sentence is complete.
     *
     * @return the calls that came meanwhile beyond those that it wants
     */
    List<Call> settle() {
        if (settled) {
            return List.of();
        }
        settled = true;
        return surplus();
    }

    /** The calls that came beyond those that the sentence wants as it reads now; they no longer count. */
    List<Call> surplus() {
        int tooMany = Math.max(0, calls - count.max());
        List<Call> last = taken.subList(Math.max(0, taken.size() - tooMany), taken.size());
        List<Call> surplus = List.copyOf(last);
        last.clear();
        calls -= tooMany;
        return surplus;
    }

    /** Whether its writer is the current thread, which by doing something else shows that the sentence is complete. */
    boolean isWrittenHere() {
        return Thread.currentThread() == writer;
    }

    @Override
    public String[] row() {
        return new String[] {patternText(), count.text() + ", so far " + calls, line()};
    }

    /** What is said of calls beyond the count that may be another test's. */
    private @Nullable String unownedBeyond() {
        Unowned unowned = state.part().scene().unowned();
        int more = count.max() == Integer.MAX_VALUE
                ? 0
                : unowned.covered(state.part().owner(), pattern());
        if (more == 0 || calls + more <= count.max()) {
            return null;
        }
        return new FailureText("Expected " + count.text() + " of " + patternText() + ", but " + Count.happened(calls)
                        + ", and " + Count.calls(more) + " on threads of no scene.")
                .section("Expected at", line().isEmpty() ? List.of() : List.of(line()))
                .toString();
    }

    /** What is missing, or null if it is met. */
    @Nullable
    String unmet() {
        if (calls >= count.min()) {
            return unownedBeyond();
        }
        return new FailureText(
                        "Expected " + count.text() + " of " + patternText() + ", but " + Count.happened(calls) + ".")
                .section("Expected at", line().isEmpty() ? List.of() : List.of(line()))
                .section(
                        "Closest",
                        Calls.closest(pattern(), state.calls(), state.part().callsOfOverloads(state.method())))
                .toString();
    }
}
