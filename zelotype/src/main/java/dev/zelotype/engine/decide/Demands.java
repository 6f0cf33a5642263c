package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.Assignment.Taken;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The demands of one scene. One lock guards all of them, because an order may span several doubles.
 */
public final class Demands {

    private final CallScene scene;
    private final List<Demand> all = new ArrayList<>();
    private @Nullable Demand beingWritten;
    /** Calls that were counted but are not covered by the statement in its current form. */
    private final List<Taken> toJudge = new ArrayList<>();
    /** How many calls there were, which is the position in time of the next one. */
    private long arrivals;

    Demands(CallScene scene) {
        this.scene = scene;
    }

    public synchronized void add(Demand demand) {
        settleLast();
        all.add(demand);
        beingWritten = demand;
    }

    /** Treats the last unfinished statement as complete: its thread has continued with something else. */
    public synchronized void settleLast() {
        Demand last = beingWritten;
        if (last != null) {
            beingWritten = null;
            last.settle();
            List<Taken> back = List.copyOf(toJudge);
            toJudge.clear();
            back.forEach(this::judgeAgain);
            refuseSurplus(last);
            refuseBrokenOrder(last);
        }
    }

    /** A late count may require more calls before some that have already happened. */
    private void refuseBrokenOrder(Demand demand) {
        Demand later = demand.wantsMore() ? demand.neighbour() : null;
        boolean broken = later != null
                && demand.comesBefore(later)
                && giveAnew(List.of(demand), null, false) == Given.IMPOSSIBLE;
        List<Taken> itsCalls = broken ? later.taken() : null;
        if (itsCalls != null) {
            Call first = itsCalls.get(0).call();
            scene.refuseLate(first, Refusals.outOfOrder(later, demand, first));
        }
    }

    /** Narrows a demand; calls that it does not cover any more are judged again once the statement is complete. */
    public synchronized void narrow(Demand demand, CallPattern narrower) {
        if (beingWritten != demand) {
            settleLast();
            beingWritten = demand;
            demand.reopen();
        }
        demand.narrow(narrower);
        for (Demand other : together(List.of(demand))) {
            if (other != demand) {
                other.isAlone(demand);
            }
        }
        for (Taken each : demand.giveBack()) {
            toJudge.add(each.without(demand));
        }
    }

    private void judgeAgain(Taken taken) {
        Call call = taken.call();
        call.giveBack();
        Given given = giveAnew(taken.covering(), taken, false);
        if (given == Given.ANEW) {
            return;
        }
        MethodState state = (MethodState) call.log();
        Judged judged = judge(taken);
        Demand meets = judged.meets();
        if (meets != null && given == Given.AS_BEFORE) {
            meets.take(taken);
            call.expect();
            return;
        }
        // Otherwise this call would have been out of order.
        FailureText refusal = meets == null ? judged.refusal(call) : outOfOrder(meets, call);
        if (refusal != null) {
            scene.refuseLate(call, refusal);
        } else if (state.part().covering(state.method(), call.arguments()) != null) {
            call.account();
        } else if (KindRule.of(state.part().owner().kind()).unsaid() == KindRule.Unsaid.REFUSED) {
            scene.refuseLate(call, Refusals.unexpected(call));
        }
    }

    private static FailureText outOfOrder(Demand meets, Call call) {
        for (Demand each : together(List.of(meets))) {
            Demand before = each.started() ? each.blockedBy() : null;
            if (before != null) {
                return Refusals.outOfOrder(each, before, call);
            }
        }
        Demand neighbour = meets.neighbour();
        return neighbour == null ? Refusals.tooOften(meets, call) : Refusals.outOfOrder(meets, neighbour, call);
    }

    /** Sets the count of a demand, which completes it. */
    public synchronized void count(Demand demand, Count wanted) {
        if (beingWritten != demand) {
            settleLast();
            beingWritten = demand;
        }
        demand.setCount(wanted);
        settleLast();
    }

    private void refuseSurplus(Demand demand) {
        if (demand.isOver() && giveAnew(List.of(demand), null, false) != Given.ANEW) {
            for (Call each : demand.surplus()) {
                scene.refuseLate(each, Refusals.tooOften(demand, each));
            }
        }
    }

    /** The decision of a method's demands about a call. */
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

    /** The call meets the first demand that still requires calls, else the first that allows more. */
    private static Judged judge(Taken taken) {
        Demand allowing = null;
        Demand exhausted = null;
        Demand early = null;
        for (Demand demand : taken.covering()) {
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

    /** Some demands, and all others that cover the same methods or belong to the same orders, transitively. */
    private static Set<Demand> together(List<Demand> some) {
        Set<Demand> all = new LinkedHashSet<>();
        Deque<Demand> open = new ArrayDeque<>(some);
        while (!open.isEmpty()) {
            Demand next = open.remove();
            if (all.add(next)) {
                open.addAll(List.of(next.state().demands()));
                open.addAll(next.inOrder());
            }
        }
        return all;
    }

    private enum Given {
        ANEW,
        /** No assignment meets them all. */
        IMPOSSIBLE,
        /** There is only one assignment, or there are too many calls. */
        AS_BEFORE
    }

    /**
     * Assigns the calls to other demands than before, if that meets them all.
     *
     * @param coming a call that is not assigned yet, or null
     * @param whole whether each demand must reach its count
     * @return the results
     */
    private static Given giveAnew(List<Demand> some, @Nullable Taken coming, boolean whole) {
        Set<Demand> all = together(some);
        List<Taken> calls = new ArrayList<>();
        if (coming != null) {
            calls.add(coming);
        }
        for (Demand each : all) {
            List<Taken> its = each.taken();
            if (its == null) {
                return Given.AS_BEFORE;
            }
            calls.addAll(its);
        }
        if (all.size() < 2) {
            return Given.AS_BEFORE;
        }
        return Assignment.give(List.copyOf(all), calls, whole) ? Given.ANEW : Given.IMPOSSIBLE;
    }

    /**
     * Finds the demand that a call meets.
     *
     * @param state the part with the demands
     * @return null if none of them covers the call
     * @throws dev.zelotype.error.UnexpectedCall if there are too many such calls, or it is out of order
     */
    synchronized @Nullable Demand meet(MethodState state, Call call) {
        if (beingWritten != null && beingWritten.isWrittenHere()) {
            settleLast();
        }
        List<Demand> covering = new ArrayList<>();
        for (Demand each : state.demands()) {
            if (each.covers(call.arguments())) {
                covering.add(each);
            }
        }
        if (covering.isEmpty()) {
            return null;
        }
        Taken taken = new Taken(arrivals++, call, covering);
        Judged judged = judge(taken);
        Demand meets = judged.meets();
        if (meets != null) {
            meets.take(taken);
            return meets;
        }
        if (giveAnew(covering, taken, false) == Given.ANEW) {
            return taking(taken);
        }
        throw ((MethodState) call.log()).part().scene().refuse(call, judged.refusal(call));
    }

    private static Demand taking(Taken taken) {
        for (Demand each : taken.covering()) {
            List<Taken> its = each.taken();
            if (its != null && its.contains(taken)) {
                return each;
            }
        }
        throw new IllegalStateException("not taken: " + taken);
    }

    /** What is missing, one text for each unmet demand. */
    public synchronized List<FailureText> unmet() {
        settleLast();
        for (Demand demand : all) {
            if (demand.wantsMore()) {
                giveAnew(List.of(demand), null, true);
            }
        }
        List<FailureText> texts = new ArrayList<>();
        for (Demand demand : all) {
            FailureText text = demand.unmet();
            if (text != null) {
                texts.add(text);
            }
        }
        return texts;
    }
}
