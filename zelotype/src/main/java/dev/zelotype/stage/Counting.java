package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;
import java.time.Duration;

/**
 * For tests: sets how often a call must have happened, which runs the check, and how long to wait for it.
 *
 * @since 0.2
 */
public class Counting extends Counted {

    Counting(Check statement) {
        super(statement);
    }

    /**
     * Waits for calls from other threads.
     *
     * @param time the maximum time to wait; if only further calls could break the count, the whole time is waited
     * @return this statement, to set the count
     */
    public final Counted within(Duration time) {
        statement.within(time);
        return this;
    }
}
