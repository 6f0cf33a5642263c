package dev.zelotype.engine.decide;

import dev.zelotype.doubles.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.explain.Lasting;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.engine.weave.Guard;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * What becomes of one call: it is disturbed if somebody wants that, logged, decided about (by a demand, a rule, or what the
 * double's kind says), answered and ended, in this order.
 */
final class Decision {

    private Decision() {}

    /** Answers a call that has come through a double's door. */
    static @Nullable Object of(MethodState state, Object[] arguments) throws Throwable {
        CallScene scene = state.part().scene();
        Disturber disturber = scene.disturber();
        return disturber == null
                ? answer(scene.begin(state, arguments))
                : disturber.disturb(new Passage(state, arguments));
    }

    /** Decides about a call that is logged, and answers it. */
    static @Nullable Object answer(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        Rule rule = null;
        try {
            rule = ruleFor(state, call);
            return rule != null && rule.answers() ? asSaid(rule, state, call) : unsaid(rule, state, call);
        } catch (StackOverflowError e) {
            Throwable explained =
                    Recursion.explain(state.part().owner(), call.log().method(), rule, e);
            threw(call, explained);
            throw explained;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /** Decides about a call that is logged and to which nobody listens: it meets what is expected, or is refused. */
    static void recordOnly(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        Rule rule = ruleFor(state, call);
        DoubleState owner = state.part().owner();
        boolean refused = rule == null
                && !owner.hasRealObject()
                && KindRule.of(owner.kind()).unsaid() == KindRule.Unsaid.REFUSED;
        if (refused) {
            throw state.part().scene().refuse(call, Refusals.unexpected(call));
        }
        end(call, Ending.ANSWERED, null);
    }

    /** Answers a call that is to leave no trace: with what was said, else with an empty value. */
    static @Nullable Object answerOnly(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        DoubleState owner = state.part().owner();
        for (Demand demand : state.part().demands(state.method())) {
            if (demand.answers() && demand.covers(call.arguments())) {
                return demand.peek().take(owner, call, demand.pattern());
            }
        }
        Rule rule = state.part().covering(state.method(), call.arguments());
        return rule != null && rule.answers()
                ? rule.peek().take(owner, call, rule.pattern())
                : owner.emptyValue(state.method());
    }

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor is to run; else what answers for the new object, or {@link Participant#BARE}
     */
    static @Nullable Object construct(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        try {
            Rule rule = ruleFor(state, call);
            Step step = rule == null ? null : rule.next();
            if (rule == null || step != null && step.isReal()) {
                end(call, Ending.REAL, null);
                return null;
            }
            DoubleState owner = state.part().owner();
            Object answer = step == null ? null : Guard.outside(() -> step.take(owner, call, rule.pattern()));
            end(call, Ending.ANSWERED, null);
            return answer == null ? owner.bare(state.method().returnType()) : answer;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /** What speaks of a call: a demand that it meets, or else, and for its answer, a rule. */
    private static @Nullable Rule ruleFor(MethodState state, Call call) {
        Part part = state.part();
        Part outermost = part.owner().ownPart();
        Rule found = null;
        for (Part each = part; each != null && found == null; each = each == outermost ? null : each.beneath()) {
            MethodState its = each == part ? state : each.state(state.method());
            found = its.demands().length == 0 ? null : each.scene().demands().meet(its, call);
        }
        if (found != null) {
            call.expect();
        }
        if (found == null || !found.answers()) {
            Rule supposed = part == outermost
                    ? state.covering(call.arguments())
                    : part.covering(state.method(), call.arguments());
            found = supposed == null ? found : supposed;
        }
        if (found != null) {
            call.account();
        }
        return found;
    }

    private static @Nullable Object asSaid(Rule rule, MethodState state, Call call) throws Throwable {
        DoubleState owner = state.part().owner();
        Step step = rule.next();
        Object answer = owner.doubleClass().isWoven() || owner.doubleClass().isFinal(state.method())
                ? Guard.outside(() -> step.take(owner, call, rule.pattern()))
                : step.take(owner, call, rule.pattern());
        return end(call, step.isReal() ? Ending.REAL : Ending.ANSWERED, answer);
    }

    /**
     * Answers a call of which nobody said what to answer.
     *
     * @param demand says that the call must happen, but not what it answers; or null
     */
    private static @Nullable Object unsaid(@Nullable Rule demand, MethodState state, Call call) throws Throwable {
        DoubleState owner = state.part().owner();
        DoubledMethod method = state.method();
        Object[] arguments = call.arguments();
        boolean bare = method.takesInstance() && Replacing.isBare(arguments[0]);
        if (owner.hasRealObject() && !bare) {
            return end(call, Ending.REAL, owner.runReal(method, arguments));
        }
        return switch (KindRule.of(owner.kind()).unsaid()) {
            case EMPTY -> {
                Object[] ofClass = owner.askClass(method, arguments);
                if (ofClass != null) {
                    yield end(call, Ending.ANSWERED, ofClass[0]);
                }
                yield method.isDefault() && isReachable(owner, method)
                        ? end(call, Ending.REAL, owner.runOwn(method, arguments))
                        : end(call, Ending.DEFAULTED, owner.emptyValue(method));
            }
            case OWN_CODE -> {
                if (!method.hasCode()) {
                    throw state.part().scene().refuse(call, Refusals.notImplemented(call));
                }
                yield end(call, Ending.REAL, owner.runOwn(method, arguments));
            }
            case REFUSED -> {
                if (demand == null) {
                    throw state.part().scene().refuse(call, Refusals.unexpected(call));
                }
                yield end(call, Ending.DEFAULTED, owner.emptyValue(method));
            }
        };
    }

    /** Whether the JVM lets us run the code of a default method, which it does not for interfaces of closed modules. */
    private static boolean isReachable(DoubleState owner, DoubledMethod method) {
        try {
            owner.doubleClass().ownCode(method);
            return true;
        } catch (MisuseException e) {
            return false;
        }
    }

    static @Nullable Object end(Call call, Ending how, @Nullable Object answer) {
        if (call instanceof Call.Worded worded) {
            worded.ended(
                    ((MethodState) call.log()).part().scene().now(), Lasting.is(answer) ? null : Values.print(answer));
        }
        call.end(how, answer);
        return answer;
    }

    private static void threw(Call call, Throwable thrown) {
        if (call.ending() == Ending.RUNNING) {
            end(call, Ending.THREW, thrown);
        }
    }
}
