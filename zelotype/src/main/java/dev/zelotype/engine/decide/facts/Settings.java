package dev.zelotype.engine.decide.facts;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.doubles.Severity;
import org.jspecify.annotations.Nullable;

/**
 * How a scene behaves, as all its floors read it. It is passed whole, so that a new setting is added here, where users
 * set it ({@code SceneSettings}), and where it counts.
 */
public interface Settings {

    /** For how many calls the line is noted that they were made at, unless asked otherwise. */
    int LINES_KEPT = 1000;

    /**
     * What becomes of suppositions that no call needed.
     *
     * @return the severity
     */
    Severity unusedSuppositions();

    /**
     * For how many calls to note the line they were made at, which costs far more than the call itself.
     *
     * @return the number
     */
    int linesOfCalls();

    /**
     * Whether work that is handed to a pool, a timer or a future sees what the scene replaces.
     *
     * @return true unless it was said otherwise
     */
    boolean tasksFollow();

    /**
     * What gives the empty values of some types.
     *
     * @return the setting; null if it was not set
     */
    @Nullable
    EmptyValue emptyValue();

    /** For scenes that no test opens: unused suppositions are not reported. */
    static Settings unchecked(int linesOfCalls) {
        return new Unchecked(linesOfCalls);
    }

    /** Of a scene that does not check which suppositions were used. */
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
