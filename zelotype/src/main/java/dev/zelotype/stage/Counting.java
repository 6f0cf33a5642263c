package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;
import java.time.Duration;

/**
 * For tests: says how often a call must have happened, which completes the check, and how long to wait for it.
 *
 * @since 0.2
 */
public class Counting extends Counted {

    Counting(Check statement) {
        super(statement);
    }

    /**
     * Gives calls from other threads time to come.
     *
     * @param time how long to wait at most; a count that only more calls could break is watched for the whole time
     * @return this statement, to give the count with
     */
    public final Counted within(Duration time) {
        statement.within(time);
        return this;
    }
}
