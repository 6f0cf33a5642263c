package dev.zelotype.engine.decide.facts;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.doubles.Severity;
import org.jspecify.annotations.Nullable;

/**
 * The settings of a scene, for all of its layers. They are passed as a whole, so a new setting is added only here,
 * where users set it ({@code SceneSettings}), and where it is used.
 */
public interface Settings {

    /** The default number of calls whose line is recorded. */
    int LINES_KEPT = 1000;

    /**
     * Returns the severity of suppositions that no call used.
     *
     * @return the severity
     */
    Severity unusedSuppositions();

    /**
     * For how many calls to record their line, which costs far more than the call itself.
     *
     * @return the number
     */
    int linesOfCalls();

    /**
     * Tells whether replacements apply to tasks that are passed to a pool, a timer or a future.
     *
     * @return true by default
     */
    boolean tasksFollow();

    /**
     * Provides the empty values of some types.
     *
     * @return the setting; null if it was not set
     */
    @Nullable
    EmptyValue emptyValue();

    /** For scenes that no test opens: unused suppositions are not reported. */
    static Settings unchecked(int linesOfCalls) {
        return new Unchecked(linesOfCalls);
    }

    /** For a scene that does not check which suppositions were used. */
    record Unchecked(int linesOfCalls) implements Settings {

        @Override
        public Severity unusedSuppositions() {
            return Severity.IGNORE;
        }

        @Override
        public boolean tasksFollow() {
            return true;
        }

        @Override
        public @Nullable EmptyValue emptyValue() {
            return null;
        }
    }
}
