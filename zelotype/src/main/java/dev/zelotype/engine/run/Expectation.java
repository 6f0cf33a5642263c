package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Says beforehand that some calls must happen, and optionally what they answer.
 *
 * <p>It is heeded from its first word on, since {@code expect(dome::open)} is a whole sentence. Calls of other threads that
 * come while the sentence is still being written are held against what it finally says. Its numbers are guarded by the
 * lock of the scene's {@link Expectations}.
 */
public final class Expectation extends Supposition {

    private final Thread writer = Thread.currentThread();
    private final List<Taken> takenMeanwhile = new ArrayList<>();
    private volatile Count count = Count.ONCE;
    private boolean counted;
    private boolean settled;
    private int calls;
    private @Nullable Order order;

    /** A call that was counted while the sentence was being written. */
    record Taken(Part part, DoubledMethod method, @Nullable CallRecord call, Object[] arguments) {}

    private Expectation(Written written) {
        super("expect", written);
        refuseIfNotRecorded();
    }

    public static Expectation of(Serializable shape) {
        Expectation statement = new Expectation(read(shape, true));
        Told told = statement.told();
        if (!told.kind().takesExpectations()) {
            throw new MisuseException(
                    told.name() + " is a " + told.kind().word() + ", which takes no expectations.",
                    "make it a mock or a spy, or use suppose(...) and verify(...)");
        }
        if (!statement.scene().isOpenScene()) {
            throw new MisuseException(
                    "expect(" + statement.patternText() + ") stands outside any scene: nobody would check it.",
                    "open a scene first: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        statement.order = Order.current();
        if (statement.order != null) {
            statement.order.expect(statement);
        }
        statement.scene().expected(statement);
        statement.state().expect(statement);
        return statement;
    }

    @Override
    void takeEffect() {
        // It is heeded from the start.
    }

    @Override
    void narrow(CallPattern narrower) {
        scene().expectations().narrow(this, () -> super.narrow(narrower));
    }

    public void count(int least, int most) {
        said(() -> {
            Count wanted = Count.of(least, most);
            if (counted) {
                throw new MisuseException(this + " has a count already: " + count.text() + ".", "give one count");
            }
            if (wanted.max() == 0 && answers()) {
                throw answerOfNever();
            }
            fix();
            scene().expectations().count(this, wanted);
        });
    }

    @Override
    void refuseAnswer() {
        if (count.max() == 0) {
            throw answerOfNever();
        }
    }

    private MisuseException answerOfNever() {
        return new MisuseException(
                this + " says that the call never happens, so there is nothing to answer.",
                "leave the answer out, or expect at least one call");
    }

    @Override
    Count count() {
        return count;
    }

    @Override
    int found() {
        return calls;
    }

    @Override
    @Nullable
    Order order() {
        return order;
    }

    boolean covers(Object[] arguments) {
        return pattern().covers(arguments);
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

    /** The expectation of the same order that must be met first, or null. */
    @Nullable
    Expectation blockedBy() {
        return order == null ? null : order.blocking(this);
    }

    void take(Part part, @Nullable CallRecord call, Object[] arguments) {
        calls++;
        if (!settled) {
            takenMeanwhile.add(new Taken(part, pattern().method(), call, arguments));
        }
    }

    /** Takes back what was counted though the sentence, as it reads by now, does not cover it. */
    List<Taken> giveBack() {
        List<Taken> back = new ArrayList<>(takenMeanwhile);
        back.removeIf(taken -> covers(taken.arguments()));
        takenMeanwhile.removeAll(back);
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
    List<Taken> settle() {
        if (settled) {
            return List.of();
        }
        settled = true;
        int tooMany = Math.max(0, calls - count.max());
        List<Taken> surplus =
                List.copyOf(takenMeanwhile.subList(takenMeanwhile.size() - tooMany, takenMeanwhile.size()));
        takenMeanwhile.clear();
        calls -= tooMany;
        return surplus;
    }

    /** Whether its writer is the current thread, which by doing something else shows that the sentence is complete. */
    boolean isWrittenHere() {
        return Thread.currentThread() == writer;
    }

    /** The expectation on one line, such as {@code mount.slewTo(Harrow-2)  exactly 1 call, so far 0}. */
    String[] row() {
        return new String[] {patternText(), count.text() + ", so far " + calls, line()};
    }

    /** What is missing, or null if it is met. */
    @Nullable
    String unmet() {
        if (calls >= count.min()) {
            return null;
        }
        return new FailureText(
                        "Expected " + count.text() + " of " + patternText() + ", but " + Count.happened(calls) + ".")
                .section("Expected at", line().isEmpty() ? List.of() : List.of(line()))
                .section(
                        "Closest",
                        Calls.closest(
                                pattern(),
                                log().calls(),
                                part().callsOfOverloads(pattern().method())))
                .toString();
    }
}
