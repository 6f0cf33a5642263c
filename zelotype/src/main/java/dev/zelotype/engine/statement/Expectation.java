package dev.zelotype.engine.statement;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.Demand;
import dev.zelotype.engine.decide.Part;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * Requires calls that will happen later, and optionally sets their answer.
 */
public final class Expectation extends Supposition {

    private final Demand demand;
    private final @Nullable Order order;

    private Expectation(Demand demand, Part part, @Nullable Order order) {
        super(demand, part);
        this.demand = demand;
        this.order = order;
        refuseIfNotRecorded();
    }

    public static Expectation of(Serializable shape) {
        Written written = read(shape, true);
        Kind kind = written.part().owner().kind();
        if (!KindRule.of(kind).takesExpectations()) {
            throw new MisuseException(
                    written.part().owner().name() + " is a " + kind.word()
                            + ": only mocks and spies take expectations.",
                    "make it a mock or a spy, or use suppose(...) and verify(...)");
        }
        Order order = Order.current();
        Demand demand =
                new Demand(written.pattern(), written.frame(), written.state(), order == null ? null : order.demands());
        Expectation statement = new Expectation(demand, written.part(), order);
        if (!statement.scene().isOpenScene()) {
            throw new MisuseException(
                    "expect(" + statement.patternText()
                            + ") was written outside a scene, so it would never be checked.",
                    "open a scene first: annotate the test class with @WithDoubles, or"
                            + " try (Scene scene = Scene.open()) { ... }");
        }
        written.part().owner().isSaid();
        statement.scene().demands().add(demand);
        statement.scene().said(statement);
        statement.state().add(demand);
        return statement;
    }

    @Override
    void takeEffect() {
        // It is effective from the start.
    }

    @Override
    void narrow(CallPattern narrower) {
        scene().demands().narrow(demand, narrower);
    }

    public void count(int least, int most) {
        say(() -> {
            Count wanted = Count.of(least, most);
            if (demand.isCounted()) {
                throw new MisuseException(
                        this + " has a count already: " + demand.count().text() + ".", "give one count");
            }
            if (wanted.max() == 0 && demand.answers()) {
                throw answerOfNever();
            }
            fix();
            scene().demands().count(demand, wanted);
        });
    }

    @Override
    void refuseAnswer() {
        if (demand.count().max() == 0) {
            throw answerOfNever();
        }
    }

    private MisuseException answerOfNever() {
        return new MisuseException(
                this + " expects zero calls, so it cannot have an answer.",
                "remove the answer, or expect at least one call");
    }

    @Override
    public Count count() {
        return demand.count();
    }

    @Override
    public int found() {
        return demand.calls();
    }

    @Override
    public @Nullable Order order() {
        return order;
    }
}
