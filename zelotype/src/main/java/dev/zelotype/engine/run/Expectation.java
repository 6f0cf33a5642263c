package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Says beforehand that some calls must happen, and optionally what they answer.
 */
public final class Expectation extends Supposition {

    private volatile Count count = Count.ONCE;
    private boolean counted;
    private int calls;
    private @Nullable Order order;

    private Expectation(CallPattern pattern) {
        super("expect", pattern);
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
        if (!told.scene().isOpenScene()) {
            throw new MisuseException(
                    told.name() + " was made outside any scene: nobody would check what it expects.",
                    "open a scene before making the double: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        statement.order = Order.current();
        if (statement.order != null) {
            statement.order.expect(statement);
        }
        told.state(statement.pattern().method()).expect(statement);
        told.scene().expected(statement);
        return statement;
    }

    @Override
    void takeEffect() {
        // It is heeded from the start.
    }

    public void count(Count wanted) {
        if (counted) {
            throw new MisuseException(this + " has a count already: " + count.text() + ".", "give one count");
        }
        counted = true;
        count = wanted;
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

    boolean exhausted() {
        return calls >= count.max();
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

    void take() {
        calls++;
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
                                pattern(), told().state(pattern().method()).log()))
                .toString();
    }
}
