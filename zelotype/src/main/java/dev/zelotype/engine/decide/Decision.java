package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.explain.StableValues;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * The handling of one call, in this order: it is disturbed if there is a disturber, logged, decided (by a demand, a
 * rule, or the kind of the double), answered and ended.
 */
final class Decision {

    private Decision() {}

    /** Answers a call of a double. */
    static @Nullable Object of(MethodState state, Object[] arguments) throws Throwable {
        CallScene scene = state.part().scene();
        Disturber disturber = scene.disturber();
        return disturber == null
                ? answer(scene.begin(state, arguments))
                : disturber.disturb(new Passage(state, arguments));
    }

    /** As {@link #of}, but a call that no statement covers is only logged; null means that its real code must run. */
    static Object @Nullable [] ifCovered(MethodState state, Object[] arguments) throws Throwable {
        CallScene scene = state.part().scene();
        if (scene.disturber() != null) {
            if (state.part().isCovered(state.method(), arguments)) {
                return new Object[] {of(state, arguments)};
            }
            end(scene.begin(state, arguments), Ending.REAL, Call.UNSEEN);
            return null;
        }
        Call call = scene.begin(state, arguments);
        Rule rule = sought(state, call);
        if (rule == null) {
            end(call, Ending.REAL, Call.UNSEEN);
            return null;
        }
        return new Object[] {answered(rule, state, call)};
    }

    /** As {@link #unrecorded}, but null means that no statement covers the call and its real code must run. */
    static Object @Nullable [] unrecordedIfCovered(Part part, DoubledMethod method, Object[] arguments)
            throws Throwable {
        return part.isCovered(method, arguments) ? new Object[] {unrecorded(part, method, arguments)} : null;
    }

    /** Decides about a logged call, and answers it. */
    static @Nullable Object answer(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        Rule rule = sought(state, call);
        return answered(rule, state, call);
    }

    /** The test's statement about a call; if the call is refused, it has ended. */
    private static @Nullable Rule sought(MethodState state, Call call) throws Throwable {
        try {
            return ruleFor(state, call);
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    private static @Nullable Object answered(@Nullable Rule rule, MethodState state, Call call) throws Throwable {
        try {
            return rule != null && rule.answers() ? asSaid(rule, state, call) : unsaid(rule, state, call);
        } catch (StackOverflowError e) {
            if (!Recursion.isRoomFor(e)) {
                // There may not be enough stack to compose a text, or to load a class.
                call.end(Ending.THREW, e);
                throw e;
            }
            Throwable explained =
                    Recursion.explain(state.part().owner(), call.log().method(), rule, e);
            threw(call, explained);
            throw explained;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /** Decides about a logged call that is not disturbed: it meets an expectation, or is refused. */
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

    /** Answers a call that must leave no trace: with the supposed answer, else with an empty value. */
    static @Nullable Object answerOnly(Call call) throws Throwable {
        MethodState state = (MethodState) call.log();
        DoubleState owner = state.part().owner();
        Rule rule = answeringUnrecorded(state.part(), state.method(), call.arguments());
        return rule != null ? rule.peek().take(owner, call, rule.pattern()) : owner.emptyValue(state.method());
    }

    /**
     * Answers a call of a constructor.
     *
     * @return null if the real constructor must run; else the participant that answers for the new object, or {@link
     *     Participant#BARE}
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
            Object answer = step == null ? null : step.take(owner, call, rule.pattern());
            end(call, Ending.ANSWERED, null);
            return answer == null ? owner.bare(state.method().returnType()) : answer;
        } catch (Throwable e) {
            threw(call, e);
            throw e;
        }
    }

    /**
     * The test's statement about a call. The call counts for the demands of each scene that sees it, from the inside
     * out; the answer comes from the nearest scene with a statement.
     */
    private static @Nullable Rule ruleFor(MethodState state, Call call) {
        Call[] echoes = call.echoes();
        Rule found = meet(state, call);
        Rule answering = answering(found, state, call, echoes.length == 0);
        for (int i = 0; i < echoes.length; i++) {
            Call echo = echoes[i];
            MethodState its = (MethodState) echo.log();
            Rule met = meet(its, echo);
            found = found == null ? met : found;
            if (met != null) {
                call.account();
            }
            if (answering == null) {
                answering = answering(met, its, echo, i == echoes.length - 1);
                if (answering != null) {
                    accountWithin(call, echoes, i);
                }
            }
        }
        Rule rule = answering == null ? found : answering;
        if (rule != null) {
            call.account();
        }
        return rule;
    }

    private static @Nullable Demand meet(MethodState state, Call call) {
        if (state.demands().length == 0) {
            return null;
        }
        Demand met = state.part().scene().demands().meet(state, call);
        if (met != null) {
            call.expect();
        }
        return met;
    }

    /**
     * The demand that a call has met if it has an answer, else the supposition in its scene, and in scenes further out.
     */
    private static @Nullable Rule answering(@Nullable Rule met, MethodState state, Call call, boolean last) {
        if (met != null && met.answers()) {
            return met;
        }
        return last && state.part() != state.part().owner().ownPart()
                        || last && state.part().owner().isInPlace()
                ? state.part().covering(state.method(), call.arguments())
                : state.covering(call.arguments());
    }

    /** The statements of a scene apply to the scenes inside it. */
    private static void accountWithin(Call call, Call[] echoes, int outermost) {
        call.account();
        for (int i = 0; i <= outermost; i++) {
            echoes[i].account();
        }
    }

    /** Answers a call that leaves no trace: as the test states, else with the default of the double. */
    static @Nullable Object unrecorded(Part part, DoubledMethod method, Object[] arguments) throws Throwable {
        MethodState state = part.state(method);
        Call call = part.scene().leaveOut(state, arguments);
        Rule rule = answeringUnrecorded(part, method, arguments);
        DoubleState owner = part.owner();
        if (rule != null) {
            return rule.peek().take(owner, call, rule.pattern());
        }
        if (owner.hasRealObject() && !(method.takesInstance() && Replacing.isBare(arguments[0]))) {
            return owner.runReal(method, arguments);
        }
        boolean ownCode = KindRule.of(owner.kind()).unsaid() == KindRule.Unsaid.OWN_CODE && method.hasCode()
                || method.isDefault() && isReachable(owner, method);
        return ownCode ? owner.runOwn(method, arguments) : owner.emptyValue(method);
    }

    /** As {@link #construct}, for a call that leaves no trace. */
    static @Nullable Object unrecordedConstruct(Part part, DoubledMethod constructor, Object[] arguments)
            throws Throwable {
        Rule rule = null;
        for (Part each = part; each != null && rule == null; each = each.outerPart()) {
            rule = each.state(constructor).covering(arguments);
        }
        Step step = rule == null || !rule.answers() ? null : rule.peek();
        if (rule == null || step != null && step.isReal()) {
            return null;
        }
        Call call = part.scene().leaveOut(part.state(constructor), arguments);
        Object answer = step == null ? null : step.take(part.owner(), call, rule.pattern());
        return answer == null ? part.owner().bare(constructor.returnType()) : answer;
    }

    private static @Nullable Rule answeringUnrecorded(Part part, DoubledMethod method, Object[] arguments) {
        for (Demand demand : part.demands(method)) {
            if (demand.answers() && demand.covers(arguments)) {
                return demand;
            }
        }
        Rule rule = part.covering(method, arguments);
        return rule != null && rule.answers() ? rule : null;
    }

    private static @Nullable Object asSaid(Rule rule, MethodState state, Call call) throws Throwable {
        DoubleState owner = state.part().owner();
        Step step = rule.next();
        Object answer = step.take(owner, call, rule.pattern());
        return end(call, step.isReal() ? Ending.REAL : Ending.ANSWERED, answer);
    }

    /**
     * Answers a call without a supposed answer.
     *
     * @param demand the demand for the call that sets no answer; or null
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
                Object[] ofClass = owner.answerOfClass(method, arguments);
                if (ofClass != null) {
                    yield end(call, Ending.ANSWERED, ofClass[0]);
                }
                yield method.isDefault() && isReachable(owner, method)
                        ? end(call, Ending.OWN_CODE, ownCode(state, call))
                        : end(state.unlessWithoutEnd(call), Ending.DEFAULTED, owner.emptyValue(method));
            }
            case OWN_CODE -> {
                if (!method.hasCode()) {
                    throw state.part().scene().refuse(call, Refusals.notImplemented(call));
                }
                yield end(call, Ending.REAL, owner.runOwn(method, arguments));
            }
            case REFUSED -> {
                if (demand == null && !state.part().scene().isSettingUp()) {
                    throw state.part().scene().refuse(call, Refusals.unexpected(call));
                }
                yield end(state.unlessWithoutEnd(call), Ending.DEFAULTED, owner.emptyValue(method));
            }
        };
    }

    /** Runs the code of a default method, which is easily overlooked in a test; so it is recorded if it throws. */
    private static @Nullable Object ownCode(MethodState state, Call call) throws Throwable {
        try {
            return state.part().owner().runOwn(state.method(), call.arguments());
        } catch (Exception e) {
            state.part().scene().ownCodeThrew(call, e);
            throw e;
        }
    }

    /** Whether the JVM lets us run the code of a default method; it does not for interfaces of closed modules. */
    private static boolean isReachable(DoubleState owner, DoubledMethod method) {
        try {
            owner.doubleClass().ownCode(method);
            return true;
        } catch (MisuseException e) {
            return false;
        }
    }

    static @Nullable Object end(Call call, Ending how, @Nullable Object answer) {
        Call.Worded worded = call.words();
        if (worded != null) {
            CallScene scene = ((MethodState) call.log()).part().scene();
            worded.ended(
                    scene.now(),
                    StableValues.is(answer)
                            ? null
                            : scene.numbers()
                                    .in(() -> Values.print(call.log().method().name(), answer)));
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
