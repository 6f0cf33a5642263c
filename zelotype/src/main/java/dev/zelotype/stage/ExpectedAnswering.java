package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: says how often a query is expected (once if nothing else is said), and what it answers.
 *
 * @param <Q> the shape of a computed answer
 * @param <D> the shape of an action
 * @param <O> the shape of an answer around the real code
 * @param <R> what the call returns
 * @since 0.2
 */
public class ExpectedAnswering<Q extends Shape, D extends Shape, O extends Around, R extends @Nullable Object> {

    final Expectation statement;

    ExpectedAnswering(Expectation statement) {
        this.statement = statement;
    }

    /**
     * Expects exactly one call. A further count is not offered.
     *
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> once() {
        statement.count(1, 1);
        return new Answering<>(statement);
    }

    /**
     * Expects exactly so many calls. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> times(int calls) {
        statement.count(calls, calls);
        return new Answering<>(statement);
    }

    /**
     * Expects so many calls or more. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
        return new Answering<>(statement);
    }

    /**
     * Expects so many calls or fewer. A further count is not offered.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> atMost(int calls) {
        statement.count(0, calls);
        return new Answering<>(statement);
    }

    /**
     * Expects a number of calls in a range, both ends included. A further count is not offered.
     *
     * @param least the least number of calls
     * @param most the greatest number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> between(int least, int most) {
        statement.count(least, most);
        return new Answering<>(statement);
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
    public final ExpectedAnswering<Q, D, O, R> returns(@Nullable R first, @Nullable R... more) {
        statement.returns(first, (Object[]) more);
        return this;
    }

    /**
     * Answers with what a lambda makes of the pattern's free parameters; it runs on the calling thread.
     *
     * @param answer the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public final ExpectedAnswering<Q, D, O, R> answers(Q answer) {
        statement.runs(answer, false);
        return this;
    }

    /**
     * Runs a lambda on the pattern's free parameters, on the calling thread, and answers with an empty value: to call back,
     * or to write into them.
     *
     * @param action the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public final ExpectedAnswering<Q, D, O, R> does(D action) {
        statement.runs(action, true);
        return this;
    }

    /**
     * Answers with what a lambda makes of the real code and the pattern's free parameters: {@code real.ask(...)} runs the
     * spied object's code, or the code that the doubled type itself has, with the same arguments or with others.
     *
     * <pre>{@code
     * suppose(plan::timeFor).around((real, target) -> real.ask(target).plusSeconds(5));
     * }</pre>
     *
     * @param answer the lambda
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedAnswering<Q, D, O, R> around(O answer) {
        statement.around(answer);
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
    public final ExpectedAnswering<Q, D, O, R> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedAnswering<Q, D, O, R> callsReal() {
        statement.callsReal();
        return this;
    }
}
