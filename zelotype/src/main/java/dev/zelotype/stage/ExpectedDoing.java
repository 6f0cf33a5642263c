package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Expectation;

/**
 * For tests: says how often a void call is expected (once if nothing else is said), and what it does.
 *
 * @param <D> the shape of an action
 * @param <O> the shape of an action around the real code
 * @since 0.2
 */
public class ExpectedDoing<D extends Shape, O extends Around> {

    final Expectation statement;

    ExpectedDoing(Expectation statement) {
        this.statement = statement;
    }

    /**
     * Expects exactly one call. A further count is not offered.
     *
     * @return this statement, to add answers to
     */
    public final Doing<D, O> once() {
        statement.count(1, 1);
        return new Doing<>(statement);
    }

    /**
     * Expects exactly so many calls. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> times(int calls) {
        statement.count(calls, calls);
        return new Doing<>(statement);
    }

    /**
     * Expects so many calls or more. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
        return new Doing<>(statement);
    }

    /**
     * Expects so many calls or fewer. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> atMost(int calls) {
        statement.count(0, calls);
        return new Doing<>(statement);
    }

    /**
     * Expects a number of calls in a range, both ends included. A further count is not offered.
     *
     * @param least the least number of calls
     * @param most the greatest number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> between(int least, int most) {
        statement.count(least, most);
        return new Doing<>(statement);
    }

    /**
     * Does nothing.
     *
     * @return this statement, to add further answers to
     */
    public final ExpectedDoing<D, O> doesNothing() {
        statement.doesNothing();
        return this;
    }

    /**
     * Runs a lambda on the pattern's free parameters, on the calling thread: to call back, or to write into them.
     *
     * @param action the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public final ExpectedDoing<D, O> does(D action) {
        statement.runs(action, true);
        return this;
    }

    /**
     * Runs a lambda around the real code: {@code real.act(...)} runs the spied object's code, or the code that the doubled
     * type itself has, with the same arguments or with others.
     *
     * @param action the lambda
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedDoing<D, O> around(O action) {
        statement.around(action);
        return this;
    }

    /**
     * Fails with an exception; with several, one call after the other, and the last one from then on.
     *
     * <pre>{@code
     * suppose(weather::humidity).fails(new IllegalStateException("offline"), new IllegalStateException("still starting"));
     * }</pre>
     *
     * @param first the first exception, thrown as it is
     * @param more the exceptions after it
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if one is null, or a checked exception that the method does not declare
     */
    public final ExpectedDoing<D, O> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedDoing<D, O> callsReal() {
        statement.callsReal();
        return this;
    }
}
