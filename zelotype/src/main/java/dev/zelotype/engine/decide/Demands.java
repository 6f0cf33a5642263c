package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.pattern.CallPattern;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The demands of one scene. One lock for all of them, since an order may span several doubles.
 */
public final class Demands {

    private final CallScene scene;
    private final List<Demand> all = new ArrayList<>();
    private @Nullable Demand beingWritten;

    Demands(CallScene scene) {
        this.scene = scene;
    }

    public synchronized void add(Demand demand) {
        settleLast();
        all.add(demand);
        beingWritten = demand;
    }

    /** Takes the sentence that was begun last for complete: its writer has gone on to something else. */
    public synchronized void settleLast() {
        Demand last = beingWritten;
        if (last != null) {
            beingWritten = null;
            refuse(last, last.settle());
        }
    }

    /** Narrows a demand; what it has counted though it no longer covers it is given back. */
    public synchronized void narrow(Demand demand, CallPattern narrower) {
        demand.narrow(narrower);
        demand.giveBack().forEach(this::judgeAgain);
    }

    private void judgeAgain(Call call) {
        call.giveBack();
        MethodState state = (MethodState) call.log();
        Judged judged = judge(state, call.arguments());
        if (judged.meets() != null) {
            judged.meets().take(call);
            call.expect();
            return;
        }
        FailureText refusal = judged.refusal(call);
        if (refusal != null) {
            scene.refuseLate(call, refusal);
        } else if (state.part().covering(state.method(), call.arguments()) != null) {
            call.account();
        } else if (KindRule.of(state.part().owner().kind()).unsaid() == KindRule.Unsaid.REFUSED) {
            scene.refuseLate(call, Refusals.unexpected(call));
        }
    }

    /** Gives a demand its count, which completes it. */
    public synchronized void count(Demand demand, Count wanted) {
        demand.setCount(wanted);
        if (beingWritten == demand) {
            settleLast();
        } else {
            // Said late: calls that came before are judged by what the sentence says now.
            refuse(demand, demand.surplus());
        }
    }

    private void refuse(Demand demand, List<Call> surplus) {
        for (Call each : surplus) {
            scene.refuseLate(each, Refusals.tooOften(demand, each));
        }
    }

    /** What the demands about a method say of a call. */
    private record Judged(
            @Nullable Demand meets,
            @Nullable Demand early,
            @Nullable Demand exhausted) {

        @Nullable
        FailureText refusal(Call call) {
            if (early != null) {
                return Refusals.outOfOrder(early, early.blockedBy(), call);
            }
            return exhausted == null ? null : Refusals.tooOften(exhausted, call);
        }
    }

    /** The first demand that still wants calls meets one, else the first that allows more. */
    private static Judged judge(MethodState state, Object[] arguments) {
        Demand allowing = null;
        Demand exhausted = null;
        Demand early = null;
        for (Demand demand : state.demands()) {
            if (!demand.covers(arguments)) {
                continue;
            }
            if (demand.exhausted()) {
                exhausted = exhausted == null ? demand : exhausted;
            } else if (demand.blockedBy() != null) {
                early = early == null ? demand : early;
            } else if (demand.wantsMore()) {
                return new Judged(demand, null, null);
            } else {
                allowing = allowing == null ? demand : allowing;
            }
        }
        return allowing != null ? new Judged(allowing, null, null) : new Judged(null, early, exhausted);
    }

    /**
     * Finds the demand that a call meets.
     *
     * @param state whose demands are asked
     * @return null if none of them speaks of the call
     * @throws dev.zelotype.error.UnexpectedCall if the call comes too often or out of order
     */
    synchronized @Nullable Demand meet(MethodState state, Call call) {
        if (beingWritten != null && beingWritten.isWrittenHere()) {
            settleLast();
        }
        Judged judged = judge(state, call.arguments());
        if (judged.meets() != null) {
            judged.meets().take(call);
            return judged.meets();
        }
        FailureText refusal = judged.refusal(call);
        if (refusal != null) {
            throw ((MethodState) call.log()).part().scene().refuse(call, refusal);
        }
        return null;
    }

    /** What is missing, one text for each demand that is not met. */
    public synchronized List<String> unmet() {
        settleLast();
        List<String> texts = new ArrayList<>();
        for (Demand demand : all) {
            String text = demand.unmet();
            if (text != null) {
                texts.add(text);
            }
        }
        return texts;
    }
}
