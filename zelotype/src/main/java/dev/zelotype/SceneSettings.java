package dev.zelotype;

import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.error.MisuseException;

/**
 * For tests: how a scene behaves. Immutable; each method gives changed settings.
 *
 * <pre>{@code
 * Scene.open(SceneSettings.defaults().unusedSuppositions(Severity.FAIL));
 * }</pre>
 */
public final class SceneSettings {

    private static final SceneSettings DEFAULTS = new SceneSettings(Severity.NOTE, SceneState.LINES_KEPT);

    private final Severity unusedSuppositions;
    private final int linesOfCalls;

    private SceneSettings(Severity unusedSuppositions, int linesOfCalls) {
        this.unusedSuppositions = unusedSuppositions;
        this.linesOfCalls = linesOfCalls;
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
     * Says what becomes of suppositions that no call needed.
     *
     * @param severity ignored, noted or failing
     * @return the changed settings
     */
    public SceneSettings unusedSuppositions(Severity severity) {
        return new SceneSettings(severity, linesOfCalls);
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
        return new SceneSettings(unusedSuppositions, calls);
    }

    /**
     * What becomes of suppositions that no call needed.
     *
     * @return the severity
     */
    public Severity unusedSuppositions() {
        return unusedSuppositions;
    }

    /**
     * For how many calls the scene notes the line they were made at.
     *
     * @return the number
     */
    public int linesOfCalls() {
        return linesOfCalls;
    }
}
