package dev.zelotype.engine.decide.facts;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.doubles.Severity;
import org.jspecify.annotations.Nullable;

/**
 * How a scene behaves, as all its floors read it. It is passed whole, so that a new setting stands here, where users say it
 * ({@code SceneSettings}), and where it counts.
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
     * @return what was said; null if nothing was
     */
    @Nullable
    EmptyValue emptyValue();

    /** For scenes that no test opens: nobody hears of suppositions that nobody needs. */
    static Settings unchecked(int linesOfCalls) {
        return new Unchecked(linesOfCalls);
    }

    /** Of a scene in which nobody checks what was needed. */
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
