package dev.zelotype;

import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.run.SceneState;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * How a scene behaves. Immutable; each method gives changed settings.
 *
 * <pre>{@code
 * Scene.open(SceneSettings.defaults().unusedSuppositions(Severity.FAIL));
 * }</pre>
 */
public final class SceneSettings {

    private static final SceneSettings DEFAULTS =
            new SceneSettings("", null, Severity.NOTE, SceneState.LINES_KEPT, false);

    private final String title;
    private final @Nullable Class<?> testClass;
    private final Severity unusedSuppositions;
    private final int linesKept;
    private final boolean detailed;

    private SceneSettings(
            String title, @Nullable Class<?> testClass, Severity unusedSuppositions, int linesKept, boolean detailed) {
        this.title = title;
        this.testClass = testClass;
        this.unusedSuppositions = unusedSuppositions;
        this.linesKept = linesKept;
        this.detailed = detailed;
    }

    /**
     * The settings of a scene for which nothing else is said.
     *
     * @return unused suppositions are noted, and lines are kept for the first thousand calls
     */
    public static SceneSettings defaults() {
        return DEFAULTS;
    }

    /**
     * Says what messages call the scene: the test that it belongs to. Without a title it is called after its
     * doubles.
     *
     * @param titleOfScene the title
     * @return the changed settings
     */
    public SceneSettings titled(String titleOfScene) {
        return new SceneSettings(titleOfScene, testClass, unusedSuppositions, linesKept, detailed);
    }

    /**
     * Says which class holds the test, where that is not the one that opens the scene: what its patterns replace is got
     * ready before its methods run. For hosts of tests.
     *
     * @param test the class
     * @return the changed settings
     */
    public SceneSettings inTest(Class<?> test) {
        return new SceneSettings(title, test, unusedSuppositions, linesKept, detailed);
    }

    @Nullable
    Class<?> testClass() {
        return testClass;
    }

    /**
     * Says what becomes of suppositions that no call needed.
     *
     * @param severity ignored, noted or failing
     * @return the changed settings
     */
    public SceneSettings unusedSuppositions(Severity severity) {
        return new SceneSettings(title, testClass, severity, linesKept, detailed);
    }

    /**
     * Says for how many calls the scene notes the line they were made at. A noted line costs some microseconds.
     *
     * @param calls the number of calls, 0 or more
     * @return the changed settings
     * @throws MisuseException if the number is negative
     */
    public SceneSettings linesOfCalls(int calls) {
        if (calls < 0) {
            throw new MisuseException("linesOfCalls(" + calls + ") is no number of calls.", "give 0 or more");
        }
        return new SceneSettings(title, testClass, unusedSuppositions, calls, detailed);
    }

    /**
     * Whether arguments and answers are printed at the time of the call, and its time is noted, so that
     * {@link Scene#conversation()} tells them as they were even if they change later. Off by default, since each call
     * then costs as much as printing it.
     *
     * @param keep whether to keep details
     * @return settings with this one changed
     */
    public SceneSettings keepDetails(boolean keep) {
        return new SceneSettings(title, testClass, unusedSuppositions, linesKept, keep);
    }

    SceneState newState() {
        return new SceneState(title, unusedSuppositions, linesKept, detailed);
    }
}
