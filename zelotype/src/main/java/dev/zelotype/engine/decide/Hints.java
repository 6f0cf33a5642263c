package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.LateCalls;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Possible explanations of a failure, other than the calls in it, which are also worth knowing without one.
 */
final class Hints {

    private static final String WRONGLY_TYPED = "Answers of the type that cannot be cast, and where they were supposed";
    private static final String UNUSED = "Supposed, but not needed by any call";
    private static final String OWN_CODE = "Default methods without a supposition ran their own code and threw";
    private static final String UNCHANGED =
            "Classes that call the real code, since the JVM does not let them be changed";
    private static final String UNOWNED = "Calls on threads of no scene, which may be this test's or another's";
    private static final String INITIALIZED = "Classes that were initialized while something was replaced";
    private static final String REAL_RUNS = "Replaced, but ran their real code on threads of no scene";

    private static final int MOST_UNOWNED = 10;

    private Hints() {}

    static FailureText add(CallScene scene, FailureText text) {
        FailureText all = text.section(
                UNUSED,
                scene.settings().unusedSuppositions() == Severity.IGNORE ? List.of() : scene.unusedSuppositions());
        for (Map.Entry<String, List<String>> each : worthKnowing(scene).entrySet()) {
            all = all.section(each.getKey(), each.getValue());
        }
        return all.section(INITIALIZED, scene.initialized().all())
                .section(OWN_CODE, ownCode(scene))
                .section("Final methods, which run their real code", unaskedFinals(scene))
                .section("Calls that reached doubles of closed scenes", LateCalls.take());
    }

    private static Map<String, List<String>> worthKnowing(CallScene scene) {
        Map<String, List<String>> all = new LinkedHashMap<>();
        all.put(REAL_RUNS, realRuns(scene));
        all.put(UNOWNED, unowned(scene));
        all.put(UNCHANGED, List.copyOf(scene.unchanged()));
        return all;
    }

    static List<String> notes(CallScene scene) {
        List<String> notes = new ArrayList<>(
                scene.settings().unusedSuppositions() == Severity.NOTE ? scene.unusedSuppositions() : List.of());
        worthKnowing(scene).forEach((title, lines) -> note(notes, title, lines));
        note(notes, INITIALIZED, scene.initialized().here());
        return notes;
    }

    private static void note(List<String> notes, String title, List<String> lines) {
        if (!lines.isEmpty()) {
            notes.add(title + ": " + String.join("; ", lines));
        }
    }

    static String on(Throwable failure, CallScene scene) {
        StringBuilder text = new StringBuilder();
        append(text, WRONGLY_TYPED, wronglyTyped(failure, scene));
        append(
                text,
                UNUSED,
                scene.settings().unusedSuppositions() == Severity.NOTE ? scene.unusedSuppositions() : List.of());
        worthKnowing(scene).forEach((title, lines) -> append(text, title, lines));
        append(text, INITIALIZED, scene.initialized().here());
        append(text, OWN_CODE, ownCode(scene));
        return text.toString();
    }

    private static void append(StringBuilder text, String title, List<String> lines) {
        if (!lines.isEmpty()) {
            text.append('\n').append(title);
            lines.forEach(line -> text.append("\n  ").append(line));
        }
    }

    /** Supposed answers of the wrong type: generic code accepts them until they are used. */
    private static List<String> wronglyTyped(Throwable failure, CallScene scene) {
        Set<String> lines = new LinkedHashSet<>();
        String message = failure instanceof ClassCastException ? String.valueOf(failure.getMessage()) : "";
        for (Call call : message.isEmpty() ? List.<Call>of() : scene.calls()) {
            Object answer = call.ending() == Ending.ANSWERED ? call.answer() : null;
            if (answer != null
                    && message.startsWith("class " + answer.getClass().getName() + " cannot be cast ")) {
                MethodState state = (MethodState) call.log();
                Rule rule = state.part().covering(state.method(), call.arguments());
                if (rule != null) {
                    lines.add(Columns.gap(
                            Calls.call(call) + " = "
                                    + Values.print(state.method().name(), answer),
                            rule.at()));
                }
            }
        }
        return List.copyOf(lines);
    }

    /** The calls of default methods whose own code threw, and how to set an answer instead. */
    private static List<String> ownCode(CallScene scene) {
        List<String> lines = new ArrayList<>();
        scene.ownCodeThrew().forEach((call, thrown) -> {
            DoubleState owner = ((MethodState) call.log()).part().owner();
            DoubledMethod method = call.log().method();
            lines.add(Calls.call(call) + " ran "
                    + method.executable().getDeclaringClass().getSimpleName() + "."
                    + method.name() + ", which threw " + thrown.getClass().getSimpleName() + "; to answer for it: "
                    + Calls.allowing(owner.name(), method));
        });
        return lines;
    }

    private static List<String> realRuns(CallScene scene) {
        List<String> lines = new ArrayList<>();
        scene.realRuns().forEach((where, times) -> lines.add(where + ", " + Count.calls(times)));
        if (!lines.isEmpty()) {
            lines.add("write scene.everywhere() if these threads belong to the test");
        }
        return lines;
    }

    private static List<String> unowned(CallScene scene) {
        List<String> all = scene.unowned().lines();
        List<String> lines = new ArrayList<>(all.subList(0, Math.min(MOST_UNOWNED, all.size())));
        if (all.size() > MOST_UNOWNED) {
            lines.add("... and " + Count.calls(all.size() - MOST_UNOWNED) + " more");
        }
        if (!lines.isEmpty()) {
            lines.add("write scene.everywhere() if these threads belong to the test, or run its class alone");
        }
        return lines;
    }

    /** The final methods of doubled classes that no double can answer, because nothing wove them. */
    private static List<String> unaskedFinals(CallScene scene) {
        List<String> lines = new ArrayList<>();
        for (DoubleState each : scene.doubles()) {
            if (!each.doubleClass().isWoven() && !each.doubleClass().areFinalsWoven()) {
                for (DoubledMethod method : each.doubleClass().finals()) {
                    lines.add(each.name() + "." + method.signature()
                            + " is final: a call of it ran its real code. Start the JVM with the agent, or name it in a"
                            + " pattern");
                }
            }
        }
        return lines;
    }
}
