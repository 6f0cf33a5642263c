package dev.zelotype.engine.run;

import dev.zelotype.engine.journal.CallRecord;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The expectations of one scene. One lock for all of them, since an order may span several doubles.
 */
final class Expectations {

    private final List<Expectation> all = new ArrayList<>();

    synchronized void add(Expectation expectation) {
        all.add(expectation);
    }

    /**
     * Finds the expectation that a call meets: the first one that still wants calls, else the first that allows more.
     *
     * @return null if none of them speaks of the call
     * @throws dev.zelotype.error.UnexpectedCall if the call comes too often or out of order
     */
    synchronized @Nullable Expectation meet(
            Told told, MethodState state, @Nullable CallRecord call, Object[] arguments) {
        Expectation allowing = null;
        Expectation exhausted = null;
        Expectation early = null;
        for (Expectation expectation : state.expectations()) {
            if (!expectation.covers(arguments)) {
                continue;
            }
            if (expectation.exhausted()) {
                exhausted = exhausted == null ? expectation : exhausted;
            } else if (expectation.blockedBy() != null) {
                early = early == null ? expectation : early;
            } else if (expectation.wantsMore()) {
                expectation.take();
                return expectation;
            } else {
                allowing = allowing == null ? expectation : allowing;
            }
        }
        if (allowing != null) {
            allowing.take();
        } else if (early != null) {
            throw told.scene().refuse(call, Refusals.outOfOrder(told, early, early.blockedBy(), call, arguments));
        } else if (exhausted != null) {
            throw told.scene().refuse(call, Refusals.tooOften(told, exhausted, call, arguments));
        }
        return allowing;
    }

    /** What is missing, one text for each expectation that is not met. */
    synchronized List<String> unmet() {
        List<String> texts = new ArrayList<>();
        for (Expectation expectation : all) {
            String text = expectation.unmet();
            if (text != null) {
                texts.add(text);
            }
        }
        return texts;
    }
}
