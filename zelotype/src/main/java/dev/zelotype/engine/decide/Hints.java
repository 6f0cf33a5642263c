package dev.zelotype.engine.decide;

import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.make.DoubledMethod;
import java.util.ArrayList;
import java.util.List;

/**
 * What may explain a failure besides the calls that it tells itself, and is worth knowing without one.
 */
final class Hints {

    private static final String UNCHANGED =
            "Classes that call the real code, since the JVM does not let them be changed";
    private static final String UNOWNED = "Calls on threads of no scene, which may be this test's or another's";
    private static final String INITIALISED = "Classes that were initialised while something was replaced";
    private static final String REAL_RUNS = "Replaced, but ran their real code on threads of no scene";

    private static final int MOST_UNOWNED = 10;

    private Hints() {}

    static FailureText add(CallScene scene, FailureText text) {
        return text.section(
                        "Supposed, but not needed by any call",
                        scene.unused() == Severity.IGNORE ? List.of() : scene.unusedSuppositions())
                .section(REAL_RUNS, realRuns(scene))
                .section(UNOWNED, unowned(scene))
                .section(UNCHANGED, scene.unchanged())
                .section(INITIALISED, scene.initialised().all())
                .section("Final methods, which run their real code", unaskedFinals(scene))
                .section("Calls that reached doubles of closed scenes", Strays.take());
    }

    static List<String> notes(CallScene scene) {
        List<String> notes = new ArrayList<>(scene.unused() == Severity.NOTE ? scene.unusedSuppositions() : List.of());
        note(notes, REAL_RUNS, realRuns(scene));
        note(notes, UNOWNED, unowned(scene));
        note(notes, UNCHANGED, scene.unchanged());
        note(notes, INITIALISED, scene.initialised().here());
        return notes;
    }

    private static void note(List<String> notes, String title, List<String> lines) {
        if (!lines.isEmpty()) {
            notes.add(title + ": " + String.join("; ", lines));
        }
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

    /** The final methods of doubled classes that no double can answer, since nothing wove them. */
    private static List<String> unaskedFinals(CallScene scene) {
        List<String> lines = new ArrayList<>();
        for (DoubleState each : scene.doubles()) {
            if (!each.doubleClass().isWoven() && !each.doubleClass().doFinalsAsk()) {
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
