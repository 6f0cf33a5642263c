package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The expectations of one scene. One lock for all of them, since an order may span several doubles.
 */
final class Expectations {

    private final SceneState scene;
    private final List<Expectation> all = new ArrayList<>();
    private @Nullable Expectation beingWritten;

    Expectations(SceneState scene) {
        this.scene = scene;
    }

    synchronized void add(Expectation expectation) {
        settleLast();
        all.add(expectation);
        beingWritten = expectation;
    }

    /** Takes the sentence that was begun last for complete: its writer has gone on to something else. */
    synchronized void settleLast() {
        Expectation last = beingWritten;
        if (last != null) {
            beingWritten = null;
            for (Expectation.Taken surplus : last.settle()) {
                scene.refuseLate(surplus.call(), Refusals.tooOften(last, surplus.call(), surplus.arguments()));
            }
        }
    }

    /** Narrows an expectation; what it has counted though it no longer covers it is given back. */
    synchronized void narrow(Expectation expectation, Runnable narrowing) {
        narrowing.run();
        for (Expectation.Taken taken : expectation.giveBack()) {
            judgeAgain(taken);
        }
    }

    private void judgeAgain(Expectation.Taken taken) {
        Part part = taken.part();
        CallRecord call = taken.call();
        if (call != null) {
            call.giveBack();
        }
        MethodState state = part.state(taken.method());
        Judged judged = judge(state, taken.arguments());
        if (judged.meets() != null) {
            judged.meets().take(part, call, taken.arguments());
            if (call != null) {
                call.expect();
            }
            return;
        }
        FailureText refusal = judged.refusal(call, taken.arguments());
        if (refusal != null) {
            scene.refuseLate(call, refusal);
        } else if (part.covering(taken.method(), taken.arguments()) != null) {
            if (call != null) {
                call.account();
            }
        } else if (part.told().kind().unconfigured() == Kind.Unconfigured.REFUSED) {
            scene.refuseLate(call, Refusals.unexpected(part, taken.method(), call, taken.arguments()));
        }
    }

    /** Gives an expectation its count, which completes it. */
    synchronized void count(Expectation expectation, Count wanted) {
        expectation.setCount(wanted);
        if (beingWritten == expectation) {
            settleLast();
        }
    }

    /** What the expectations about a method say of a call. */
    private record Judged(
            @Nullable Expectation meets,
            @Nullable Expectation early,
            @Nullable Expectation exhausted) {

        @Nullable
        FailureText refusal(@Nullable CallRecord call, Object[] arguments) {
            if (early != null) {
                return Refusals.outOfOrder(early, early.blockedBy(), call, arguments);
            }
            return exhausted == null ? null : Refusals.tooOften(exhausted, call, arguments);
        }
    }

    /** The first expectation that still wants calls meets one, else the first that allows more. */
    private static Judged judge(MethodState state, Object[] arguments) {
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
                return new Judged(expectation, null, null);
            } else {
                allowing = allowing == null ? expectation : allowing;
            }
        }
        return allowing != null ? new Judged(allowing, null, null) : new Judged(null, early, exhausted);
    }

    /**
     * Finds the expectation that a call meets.
     *
     * @param part where the call is kept
     * @param state whose expectations are asked
     * @return null if none of them speaks of the call
     * @throws dev.zelotype.error.UnexpectedCall if the call comes too often or out of order
     */
    synchronized @Nullable Expectation meet(
            Part part, MethodState state, @Nullable CallRecord call, Object[] arguments) {
        if (beingWritten != null && beingWritten.isWrittenHere()) {
            settleLast();
        }
        Judged judged = judge(state, arguments);
        if (judged.meets() != null) {
            judged.meets().take(part, call, arguments);
            return judged.meets();
        }
        FailureText refusal = judged.refusal(call, arguments);
        if (refusal != null) {
            throw part.scene().refuse(call, refusal);
        }
        return null;
    }

    /** What is missing, one text for each expectation that is not met. */
    synchronized List<String> unmet() {
        settleLast();
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
