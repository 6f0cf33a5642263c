package dev.zelotype;

import dev.zelotype.engine.run.Count;
import dev.zelotype.engine.run.Expectation;
import java.io.Serializable;

/**
 * Says how often a query is expected (once if nothing else is said), and what it answers.
 *
 * @param <Q> the shape of a computed answer
 * @param <R> what the call gives back
 */
public sealed class ExpectedAnswering<Q extends Serializable, R>
        permits ExpectedQuery1, ExpectedQuery2, ExpectedQuery3, ExpectedQuery4, ExpectedQuery5, ExpectedQuery6 {

    final Expectation statement;

    ExpectedAnswering(Expectation statement) {
        this.statement = statement;
    }

    /**
     * Expects exactly one call.
     *
     * @return this statement, to add answers to
     */
    public ExpectedAnswering<Q, R> once() {
        statement.count(Count.exactly(1));
        return this;
    }

    /**
     * Expects no call.
     *
     * @return this statement, to add answers to
     */
    public ExpectedAnswering<Q, R> never() {
        statement.count(Count.exactly(0));
        return this;
    }

    /**
     * Expects exactly so many calls.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedAnswering<Q, R> times(int calls) {
        statement.count(Count.exactly(calls));
        return this;
    }

    /**
     * Expects so many calls or more.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedAnswering<Q, R> atLeast(int calls) {
        statement.count(Count.atLeast(calls));
        return this;
    }

    /**
     * Expects so many calls or fewer.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public ExpectedAnswering<Q, R> atMost(int calls) {
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
    public ExpectedAnswering<Q, R> between(int least, int most) {
        statement.count(Count.between(least, most));
        return this;
    }

    /**
     * Answers with a value; with several, one call after the other, and the last one from then on.
     *
     * @param first the first answer, or null if the method does not return a primitive
     * @param more the answers after it
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if a value does not fit the method's type
     */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public final ExpectedAnswering<Q, R> returns(R first, R... more) {
        statement.returns(first, (Object[]) more);
        return this;
    }

    /**
     * Answers with what a lambda makes of the pattern's free parameters; it runs on the calling thread.
     *
     * @param answer the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public ExpectedAnswering<Q, R> answers(Q answer) {
        statement.runs(answer);
        return this;
    }

    /**
     * Fails with an exception.
     *
     * @param failure the exception, thrown as it is
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if it is a checked exception that the method does not declare
     */
    public ExpectedAnswering<Q, R> fails(Throwable failure) {
        statement.fails(failure);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if there is no real code
     */
    public ExpectedAnswering<Q, R> callsReal() {
        statement.callsReal();
        return this;
    }
}
