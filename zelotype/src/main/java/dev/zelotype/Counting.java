package dev.zelotype;

import dev.zelotype.engine.run.Check;
import dev.zelotype.engine.run.Count;
import java.time.Duration;

/**
 * Says how often a call must have happened, which completes the check.
 */
public sealed class Counting permits Check1, Check2, Check3, Check4, Check5, Check6 {

    final Check statement;

    Counting(Check statement) {
        this.statement = statement;
    }

    /**
     * Gives calls from other threads time to come.
     *
     * @param time how long to wait at most; a count that only more calls could break is watched for the whole time
     * @return this statement, to give the count with
     */
    public Counting within(Duration time) {
        statement.within(time);
        return this;
    }

    /**
     * Checks that there was exactly one call.
     *
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void once() {
        statement.count(Count.exactly(1));
    }

    /**
     * Checks that there was no call.
     *
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void never() {
        statement.count(Count.exactly(0));
    }

    /**
     * Checks that there was exactly so many calls.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void times(int calls) {
        statement.count(Count.exactly(calls));
    }

    /**
     * Checks that there was so many calls or more.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void atLeast(int calls) {
        statement.count(Count.atLeast(calls));
    }

    /**
     * Checks that there was so many calls or fewer.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void atMost(int calls) {
        statement.count(Count.between(0, calls));
    }

    /**
     * Checks that there was a number of calls in a range, both ends included.
     *
     * @param least the least number of calls
     * @param most the greatest number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public void between(int least, int most) {
        statement.count(Count.between(least, most));
    }
}
