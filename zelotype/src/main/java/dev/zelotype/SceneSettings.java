package dev.zelotype;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the settings of a scene. Immutable; each method returns changed settings.
 *
 * <pre>{@code
 * Scene.open(SceneSettings.defaults().unusedSuppositions(Severity.FAIL));
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneSettings implements Settings {

    private static final SceneSettings DEFAULTS = new SceneSettings(Severity.NOTE, Settings.LINES_KEPT, true, null);

    private final Severity unusedSuppositions;
    private final int linesOfCalls;
    private final boolean tasksFollow;
    private final @Nullable EmptyValue emptyValue;

    private SceneSettings(
            Severity unusedSuppositions, int linesOfCalls, boolean tasksFollow, @Nullable EmptyValue emptyValue) {
        this.unusedSuppositions = unusedSuppositions;
        this.linesOfCalls = linesOfCalls;
        this.tasksFollow = tasksFollow;
        this.emptyValue = emptyValue;
    }

    /**
     * Returns the default settings.
     *
     * @return unused suppositions are noted, and lines are recorded for the first thousand calls
     */
    public static SceneSettings defaults() {
        return DEFAULTS;
    }

    /**
     * Sets the severity of suppositions that no call used.
     *
     * @param severity ignored, noted or failing
     * @return the changed settings
     */
    public SceneSettings unusedSuppositions(Severity severity) {
        return new SceneSettings(severity, linesOfCalls, tasksFollow, emptyValue);
    }

    /**
     * Sets for how many calls the scene records the line of the caller. Recording a line takes some microseconds.
     *
     * @param calls the number of calls, 0 or more
     * @return the changed settings
     * @throws MisuseException if the number is negative
     */
    public SceneSettings linesOfCalls(int calls) {
        if (calls < 0) {
            throw new MisuseException("linesOfCalls must be 0 or more, but was " + calls + ".", "give 0 or more");
        }
        return new SceneSettings(unusedSuppositions, calls, tasksFollow, emptyValue);
    }

    /**
     * Sets whether replacements apply to tasks that are passed to a pool, a timer or a future. If so, some JDK classes
     * are woven at the first replacement ({@code ForkJoinTask}, {@code FutureTask}, {@code ThreadPoolExecutor}, {@code
     * TimerTask}, the thread of timers and the tasks of {@code CompletableFuture}).
     *
     * @param follow false to leave the JDK alone; then replacements only apply to threads that are started in the scene
     * @return the changed settings
     */
    public SceneSettings tasksFollow(boolean follow) {
        return new SceneSettings(unusedSuppositions, linesOfCalls, follow, emptyValue);
    }

    /**
     * Tells whether replacements apply to tasks that are passed to a pool, a timer or a future.
     *
     * @return true by default
     */
    @Override
    public boolean tasksFollow() {
        return tasksFollow;
    }

    /**
     * Sets the empty values of some types, which doubles return by default.
     *
     * @param said returns them; it has priority over services ({@link EmptyValue})
     * @return the changed settings
     */
    public SceneSettings emptyValue(EmptyValue said) {
        return new SceneSettings(unusedSuppositions, linesOfCalls, tasksFollow, said);
    }

    /**
     * Returns the source of empty values in this scene.
     *
     * @return the setting; null if it was not set
     */
    @Override
    public @Nullable EmptyValue emptyValue() {
        return emptyValue;
    }

    /**
     * Returns the severity of suppositions that no call used.
     *
     * @return the severity
     */
    @Override
    public Severity unusedSuppositions() {
        return unusedSuppositions;
    }

    /**
     * Returns for how many calls the scene records the line of the caller.
     *
     * @return the number
     */
    @Override
    public int linesOfCalls() {
        return linesOfCalls;
    }
}
