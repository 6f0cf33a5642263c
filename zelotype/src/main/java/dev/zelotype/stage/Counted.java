package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;

/**
 * For tests: sets how often a call must have happened, which runs the check.
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
     * Checks that there were exactly this many calls.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void times(int calls) {
        statement.count(calls, calls);
    }

    /**
     * Checks that there were at least this many calls.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
    }

    /**
     * Checks that there were at most this many calls.
     *
     * @param calls the number of calls
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void atMost(int calls) {
        statement.count(0, calls);
    }

    /**
     * Checks that the number of calls is in a range, both limits included.
     *
     * @param least the minimum
     * @param most the maximum
     * @throws dev.zelotype.error.CheckFailure if there was another number of calls
     */
    public final void between(int least, int most) {
        statement.count(least, most);
    }
}
