package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;

/**
 * For tests: says how often a call must have happened, which completes the check.
 *
 * @since 0.2
 */
public class Counted {

    final Check statement;

    Counted(Check statement) {
        this.statement = statement;
    }

    /**
     * Checks that there was exactly one call.
     *
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void once() {
        statement.count(1, 1);
    }

    /**
     * Checks that there was no call.
     *
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void never() {
        statement.count(0, 0);
    }

    /**
     * Checks that there were exactly so many calls.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void times(int calls) {
        statement.count(calls, calls);
    }

    /**
     * Checks that there were so many calls or more.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
    }

    /**
     * Checks that there were so many calls or fewer.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void atMost(int calls) {
        statement.count(0, calls);
    }

    /**
     * Checks that there was a number of calls in a range, both ends included.
     *
     * @param least the least number of calls
     * @param most the greatest number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void between(int least, int most) {
        statement.count(least, most);
    }
}
