package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Statements about doubles as a whole.
 */
public final class WholeDoubles {

    private WholeDoubles() {}

    private static List<Told> told(String verb, Object[] doubles) {
        if (doubles.length == 0) {
            throw new MisuseException(verb + "() names no double, so it says nothing.", "name the doubles");
        }
        List<Told> all = new ArrayList<>();
        for (Object each : doubles) {
            all.add(told(verb, each));
        }
        return all;
    }

    private static Told told(String verb, @Nullable Object object) {
        if (DoubleClass.participantOf(object) instanceof Told told) {
            if (told.scene().closed()) {
                throw new MisuseException(
                        verb + "(" + told.name() + ") comes too late: its scene is closed.",
                        "write it before the end of the test");
            }
            return told;
        }
        throw new MisuseException(
                verb + "(...) was given "
                        + (object == null
                                ? "null"
                                : Values.print(object) + ", a real " + Values.typeName(object.getClass()))
                        + ", which is no double.",
                "give a double, such as one made with stub(...)");
    }

    /** Fails unless each call of the doubles is one that a statement of the test speaks of. */
    public static void verifyNothingElse(Object... doubles) {
        List<CallRecord> others = new ArrayList<>();
        for (Told told : told("verifyNothingElse", doubles)) {
            for (CallRecord call : SceneState.callsOf(told)) {
                if (!call.accounted()) {
                    others.add(call);
                }
            }
        }
        refuse("Expected no other calls than those supposed, expected or verified", others);
    }

    /** Fails if a double was called at all. */
    public static void verifyUntouched(Object... doubles) {
        List<CallRecord> calls = new ArrayList<>();
        for (Told told : told("verifyUntouched", doubles)) {
            calls.addAll(SceneState.callsOf(told));
            for (MethodState state : told.knownStates()) {
                if (state.log().countedOnly() > 0) {
                    throw new CheckFailure(
                            "Expected no call of " + told.name() + ", but "
                                    + Count.happened(state.log().countedOnly()) + " of "
                                    + state.log().method().name() + ".",
                            null);
                }
            }
        }
        refuse("Expected no call at all of " + names(doubles), calls);
    }

    private static String names(Object[] doubles) {
        List<String> names = new ArrayList<>();
        for (Object each : doubles) {
            names.add(Values.print(each));
        }
        return String.join(", ", names);
    }

    private static void refuse(String sentence, List<CallRecord> calls) {
        if (!calls.isEmpty()) {
            SceneState.rank(calls);
            throw new CheckFailure(
                    new FailureText(sentence + ", but " + Count.happened(calls.size()) + ".")
                            .section(calls.size() == 1 ? "The call" : "The calls", Calls.conversation(calls))
                            .toString(),
                    null);
        }
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
            Replacements.watch(type);
        }
    }

    /** Forgets the calls so far; what the doubles are told stays. */
    public static void forgetCalls(Object... doubles) {
        for (Told told : told("forgetCalls", doubles)) {
            for (MethodState state : told.knownStates()) {
                state.log().forget();
            }
        }
    }

    /** From now on keeps only how often each method is called. */
    public static void keepOnlyCounts(Object... doubles) {
        for (Told told : told("keepOnlyCounts", doubles)) {
            for (int i = 0; i < told.doubleClass().methodCount(); i++) {
                told.state(told.doubleClass().method(i)).log().keepOnlyCount();
            }
        }
    }

    /** What a double is told, and what it was asked. */
    public static String describe(Object object) {
        if (!(DoubleClass.participantOf(object) instanceof Told told)) {
            throw new MisuseException(
                    "describe(...) was given " + Values.print(object) + ", which is no double.",
                    "give a double, such as one made with stub(...)");
        }
        List<String[]> rows = new ArrayList<>();
        for (MethodState state : told.knownStates()) {
            for (Expectation expectation : state.expectations()) {
                rows.add(expectation.row());
            }
            for (Supposition supposition : state.suppositions()) {
                rows.add(new String[] {
                    supposition.patternText(),
                    "supposed" + (supposition.used() ? "" : ", not needed yet"),
                    supposition.line()
                });
            }
        }
        List<CallRecord> calls = SceneState.callsOf(told);
        SceneState.rank(calls);
        return new FailureText(told.name() + " is a " + told.kind().word() + " of "
                        + Values.typeName(told.doubleClass().doubledType()) + ".")
                .section("Told", rows.isEmpty() ? List.of("nothing") : Columns.align(rows))
                .section(
                        "Asked (" + Count.calls(calls.size()) + ")",
                        calls.isEmpty() ? List.of("nothing") : Calls.conversation(calls))
                .toString();
    }
}
