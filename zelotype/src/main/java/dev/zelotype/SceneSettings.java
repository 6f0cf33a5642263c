package dev.zelotype;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * For tests: how a scene behaves. Immutable; each method gives changed settings.
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
        return new SceneSettings(severity, linesOfCalls, tasksFollow, emptyValue);
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
            throw new MisuseException("linesOfCalls(" + calls + ") is negative.", "give 0 or more");
        }
        return new SceneSettings(unusedSuppositions, calls, tasksFollow, emptyValue);
    }

    /**
     * Says whether work that is handed to a pool, a timer or a future sees what the scene replaces. For that, some
     * classes of the JDK are woven when something is first replaced ({@code ForkJoinTask}, {@code FutureTask}, {@code
     * ThreadPoolExecutor}, {@code TimerTask}, the thread of timers and the tasks of {@code CompletableFuture}).
     *
     * @param follow false to leave the JDK alone; then only threads that are started in the scene see what it replaces
     * @return the changed settings
     */
    public SceneSettings tasksFollow(boolean follow) {
        return new SceneSettings(unusedSuppositions, linesOfCalls, follow, emptyValue);
    }

    /**
     * Whether work that is handed to a pool, a timer or a future sees what the scene replaces.
     *
     * @return true unless it was said otherwise
     */
    @Override
    public boolean tasksFollow() {
        return tasksFollow;
    }

    /**
     * Sets the empty values of some types, which doubles return as default answers.
     *
     * @param said gives them; it is asked before the services that do ({@link EmptyValue})
     * @return the changed settings
     */
    public SceneSettings emptyValue(EmptyValue said) {
        return new SceneSettings(unusedSuppositions, linesOfCalls, tasksFollow, said);
    }

    /**
     * What gives the empty values of some types in this scene.
     *
     * @return the setting; null if it was not set
     */
    @Override
    public @Nullable EmptyValue emptyValue() {
        return emptyValue;
    }

    /**
     * What becomes of suppositions that no call needed.
     *
     * @return the severity
     */
    @Override
    public Severity unusedSuppositions() {
        return unusedSuppositions;
    }

    /**
     * For how many calls the scene notes the line they were made at.
     *
     * @return the number
     */
    @Override
    public int linesOfCalls() {
        return linesOfCalls;
    }
}
