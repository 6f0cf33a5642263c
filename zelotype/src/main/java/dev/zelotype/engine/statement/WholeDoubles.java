package dev.zelotype.engine.statement;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.calls.MethodLog;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.Demand;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.MethodState;
import dev.zelotype.engine.decide.Part;
import dev.zelotype.engine.decide.Rows;
import dev.zelotype.engine.decide.Rule;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Statements about doubles as a whole.
 */
public final class WholeDoubles {

    private WholeDoubles() {}

    private static List<Part> parts(String verb, Object[] doubles) {
        if (doubles.length == 0) {
            throw new MisuseException(
                    verb + "() was called without a double, so it checks nothing.", "name the doubles");
        }
        List<Part> all = new ArrayList<>();
        for (Object each : doubles) {
            all.add(part(verb, each));
        }
        return all;
    }

    /** As {@link #parts}, for a verb that reads the calls. */
    private static List<Part> looked(String verb, Object[] doubles) {
        List<Part> parts = parts(verb, doubles);
        parts.forEach(part -> part.scene().look(false));
        return parts;
    }

    private static Part part(String verb, @Nullable Object object) {
        if (Unwrapping.participantBehind(object) instanceof DoubleState told) {
            Part part = told.partOfStatement();
            if (part.scene().closed()) {
                throw new MisuseException(
                        verb + "(" + told.name() + ") was called after its scene had been closed.",
                        "write it before the end of the test");
            }
            part.scene().demands().settleLast();
            return part;
        }
        throw new MisuseException(
                verb + "(...) was given "
                        + (object == null
                                ? "null"
                                : Values.print(object) + ", a real " + Values.typeName(object.getClass()))
                        + ", which is not a double.",
                "give a double, such as one made with stub(...)");
    }

    /** Fails if the doubles received a call that no statement of the test covers. */
    public static void verifyNothingElse(Object... doubles) {
        String sentence = "Expected no other calls than those supposed, expected or verified";
        List<Call> others = new ArrayList<>();
        List<String> counted = new ArrayList<>();
        List<Part> parts = looked("verifyNothingElse", doubles);
        String place = Lines.text(Lines.caller());
        parts.forEach(
                part -> part.scene().saidWhole(new CallScene.Whole(part.owner().name(), place)));
        for (Part part : parts) {
            for (Call call : part.calls()) {
                if (!call.accounted()) {
                    others.add(call);
                }
            }
            for (MethodState state : part.knownStates()) {
                addCounted(counted, state, state.unaccountedCounted());
            }
        }
        parts.forEach(part -> counted.addAll(part.scene().unowned().of(part.owner())));
        refuse(parts.get(0).scene(), sentence, others, counted);
    }

    /** Fails if a double was called at all. */
    public static void verifyUntouched(Object... doubles) {
        List<Call> calls = new ArrayList<>();
        List<String> counted = new ArrayList<>();
        List<Part> parts = looked("verifyUntouched", doubles);
        for (Part part : parts) {
            calls.addAll(part.calls());
            for (MethodState state : part.knownStates()) {
                addCounted(counted, state, state.countedOnly());
            }
        }
        parts.forEach(part -> counted.addAll(part.scene().unowned().of(part.owner())));
        refuse(parts.get(0).scene(), "Expected no call at all of " + names(doubles), calls, counted);
    }

    /** Reports how many calls were only counted. */
    private static void addCounted(List<String> lines, MethodLog log, long calls) {
        if (calls > 0) {
            lines.add(log.owner().name() + "." + log.method().signature() + "    " + Count.calls(calls)
                    + ", only counted");
        }
    }

    private static String names(Object[] doubles) {
        List<String> names = new ArrayList<>();
        for (Object each : doubles) {
            names.add(Values.print(each));
        }
        return String.join(", ", names);
    }

    private static void refuse(CallScene scene, String sentence, List<Call> calls, List<String> counted) {
        if (calls.isEmpty() && counted.isEmpty()) {
            return;
        }
        CallScene.rank(calls);
        List<String> lines = new ArrayList<>(calls.isEmpty() ? List.of() : Rows.of(calls));
        lines.addAll(counted);
        String happened = counted.isEmpty() ? Count.happened(calls.size()) : "there were some";
        FailureText text = new FailureText(sentence + ", but " + happened + ".")
                .section(calls.size() == 1 && counted.isEmpty() ? "The call" : "The calls", lines);
        throw scene.withHints(text).failure(null);
    }

    /** Records the calls of classes from now on. */
    public static void watch(Class<?>... types) {
        if (types.length == 0) {
            throw new MisuseException("watch() names no class, so it watches nothing.", "name the classes");
        }
        for (Class<?> type : types) {
            if (type == null) {
                throw new MisuseException("watch(...) was given null.", "give a class, such as SiderealClock.class");
            }
            ((DoubleState) Replacing.watched(type)).partOfStatement().watch();
        }
    }

    /** Forgets the calls so far; statements remain. */
    public static void forgetCalls(Object... doubles) {
        for (Part part : parts("forgetCalls", doubles)) {
            for (MethodState state : part.knownStates()) {
                state.forget();
            }
        }
    }

    /** From now on records only how often each method is called. */
    public static void keepOnlyCounts(Object... doubles) {
        for (Part part : parts("keepOnlyCounts", doubles)) {
            DoubleClass type = part.owner().doubleClass();
            for (int i = 0; i < type.methodCount(); i++) {
                part.state(type.method(i)).keepOnlyCount();
            }
        }
    }

    /** The statements and calls of a double. */
    public static String describe(Object object) {
        if (!(Unwrapping.participantBehind(object) instanceof DoubleState told)) {
            throw new MisuseException(
                    "describe(...) was given " + Values.print(object) + ", which is not a double.",
                    "give a double, such as one made with stub(...)");
        }
        List<String[]> rows = new ArrayList<>();
        Part part = told.partOfStatement();
        for (MethodState state : part.knownStates()) {
            DoubledMethod method = state.method();
            for (Demand demand : part.demands(method)) {
                rows.add(demand.row());
            }
            for (Rule supposition : part.rules(method)) {
                rows.add(new String[] {
                    supposition.patternText(),
                    "supposed" + (supposition.used() ? "" : ", not needed yet"),
                    supposition.at()
                });
            }
        }
        List<Call> calls = part.calls();
        CallScene.rank(calls);
        List<String> asked = new ArrayList<>(calls.isEmpty() ? List.of() : Rows.of(calls));
        long counted = 0;
        for (MethodState state : part.knownStates()) {
            addCounted(asked, state, state.countedOnly());
            counted += state.countedOnly();
        }
        return new FailureText(told.name() + " is a " + told.kind().word() + " of "
                        + VariableNames.simpleName(told.doubleClass().doubledType()) + told.whatItIs() + ".")
                .section("Told", rows.isEmpty() ? List.of("nothing") : Columns.align(rows))
                .section(
                        "Asked (" + Count.calls(calls.size() + counted) + ")",
                        asked.isEmpty() ? List.of("nothing") : asked)
                .toString();
    }
}
