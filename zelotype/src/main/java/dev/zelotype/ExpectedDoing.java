package dev.zelotype;

import dev.zelotype.engine.run.Count;
import dev.zelotype.engine.run.Expectation;
import java.io.Serializable;

/**
 * Says how often a void call is expected (once if nothing else is said), and what it does.
 *
 * @param <D> the shape of an action
 */
public sealed class ExpectedDoing<D extends Serializable>
        permits ExpectedAct1, ExpectedAct2, ExpectedAct3, ExpectedAct4, ExpectedAct5, ExpectedAct6 {

    final Expectation statement;

    ExpectedDoing(Expectation statement) {
        this.statement = statement;
    }

    /**
     * Expects exactly one call.
     *
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> once() {
        statement.count(Count.exactly(1));
        return this;
    }

    /**
     * Expects no call.
     *
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> never() {
        statement.count(Count.exactly(0));
        return this;
    }

    /**
     * Expects exactly so many calls.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> times(int calls) {
        statement.count(Count.exactly(calls));
        return this;
    }

    /**
     * Expects so many calls or more.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> atLeast(int calls) {
        statement.count(Count.atLeast(calls));
        return this;
    }

    /**
     * Expects so many calls or fewer.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> atMost(int calls) {
        statement.count(Count.between(0, calls));
        return this;
    }

    /**
     * Expects a number of calls in a range, both ends included.
     *
     * @param least the least number of calls
     * @param most the greatest number of calls
     * @return this statement, to add answers to
     */
    public ExpectedDoing<D> between(int least, int most) {
        statement.count(Count.between(least, most));
        return this;
    }

    /**
     * Does nothing.
     *
     * @return this statement, to add further answers to
     */
    public ExpectedDoing<D> doesNothing() {
        statement.doesNothing();
        return this;
    }

    /**
     * Runs a lambda on the pattern's free parameters, on the calling thread: to call back, or to write into them.
     *
     * @param action the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public ExpectedDoing<D> does(D action) {
        statement.runs(action);
        return this;
    }

    /**
     * Fails with an exception.
     *
     * @param failure the exception, thrown as it is
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if it is a checked exception that the method does not declare
     */
    public ExpectedDoing<D> fails(Throwable failure) {
        statement.fails(failure);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if there is no real code
     */
    public ExpectedDoing<D> callsReal() {
        statement.callsReal();
        return this;
    }
}
