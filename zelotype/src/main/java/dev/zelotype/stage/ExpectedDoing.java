package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Expectation;

/**
 * For tests: sets how often a void call is expected (by default once), and what it does.
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
     * Expects exactly one call. No further count can be set.
     *
     * @return this statement, to add answers to
     */
    public final Doing<D, O> once() {
        statement.count(1, 1);
        return new Doing<>(statement);
    }

    /**
     * Expects exactly this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> times(int calls) {
        statement.count(calls, calls);
        return new Doing<>(statement);
    }

    /**
     * Expects at least this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
        return new Doing<>(statement);
    }

    /**
     * Expects at most this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Doing<D, O> atMost(int calls) {
        statement.count(0, calls);
        return new Doing<>(statement);
    }

    /**
     * Expects a number of calls in a range, both limits included. No further count can be set.
     *
     * @param least the minimum
     * @param most the maximum
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
     * Runs a lambda on the pattern's free parameters, on the calling thread: to call back, or to write into an
     * argument.
     *
     * @param action the lambda, with the types of the free parameters
     * @return this statement, to add further answers to
     */
    public final ExpectedDoing<D, O> does(D action) {
        statement.runs(action, true);
        return this;
    }

    /**
     * Runs a lambda around the real code: {@code real.act(...)} runs the spied object's code, or the doubled type's own
     * code, with the same arguments or with others.
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
     * Throws an exception; with several, one per call in sequence, and the last one repeatedly.
     *
     * <pre>{@code
     * suppose(weather::humidity).fails(new IllegalStateException("offline"), new IllegalStateException("still starting"));
     * }</pre>
     *
     * @param first the first exception, thrown unchanged
     * @param more the exceptions after it
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if one is null, or a checked exception that the method does not
     *     declare
     */
    public final ExpectedDoing<D, O> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Runs the real code: the spied object's, or the doubled type's own.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedDoing<D, O> callsReal() {
        statement.callsReal();
        return this;
    }
}
