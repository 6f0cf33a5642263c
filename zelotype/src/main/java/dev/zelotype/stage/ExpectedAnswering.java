package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: sets how often a query is expected (by default once), and what it returns.
 *
 * @param <Q> the shape of a computed answer
 * @param <D> the shape of an action
 * @param <O> the shape of an answer around the real code
 * @param <R> the return type of the call
 * @since 0.2
 */
public class ExpectedAnswering<Q extends Shape, D extends Shape, O extends Around, R extends @Nullable Object> {

    final Expectation statement;

    ExpectedAnswering(Expectation statement) {
        this.statement = statement;
    }

    /**
     * Expects exactly one call. No further count can be set.
     *
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> once() {
        statement.count(1, 1);
        return new Answering<>(statement);
    }

    /**
     * Expects exactly this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> times(int calls) {
        statement.count(calls, calls);
        return new Answering<>(statement);
    }

    /**
     * Expects at least this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> atLeast(int calls) {
        statement.count(calls, Integer.MAX_VALUE);
        return new Answering<>(statement);
    }

    /**
     * Expects at most this many calls. No further count can be set.
     *
     * @param calls the number of calls
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> atMost(int calls) {
        statement.count(0, calls);
        return new Answering<>(statement);
    }

    /**
     * Expects a number of calls in a range, both limits included. No further count can be set.
     *
     * @param least the minimum
     * @param most the maximum
     * @return this statement, to add answers to
     */
    public final Answering<Q, D, O, R> between(int least, int most) {
        statement.count(least, most);
        return new Answering<>(statement);
    }

    /**
     * Returns a value; with several, one per call in sequence, and the last one repeatedly.
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
     * Answers with the result of a lambda for the pattern's free parameters; it runs on the calling thread.
     *
     * @param answer the lambda, with the types of the free parameters
     * @return this statement, to add further answers to
     */
    public final ExpectedAnswering<Q, D, O, R> answers(Q answer) {
        statement.runs(answer, false);
        return this;
    }

    /**
     * Runs a lambda on the pattern's free parameters, on the calling thread, and returns an empty value: to call back,
     * or to write into an argument.
     *
     * @param action the lambda, with the types of the free parameters
     * @return this statement, to add further answers to
     */
    public final ExpectedAnswering<Q, D, O, R> does(D action) {
        statement.runs(action, true);
        return this;
    }

    /**
     * Answers with the result of a lambda for the real code and the pattern's free parameters: {@code real.ask(...)}
     * runs the spied object's code, or the doubled type's own code, with the same arguments or with others.
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
    public final ExpectedAnswering<Q, D, O, R> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Runs the real code: the spied object's, or the doubled type's own.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final ExpectedAnswering<Q, D, O, R> callsReal() {
        statement.callsReal();
        return this;
    }
}
