package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Supposition;
import org.jspecify.annotations.Nullable;

/**
 * For tests: sets what a query returns. Answers are used in sequence: each call gets the next, and the last one is
 * repeated.
 *
 * @param <Q> the shape of a computed answer
 * @param <D> the shape of an action
 * @param <O> the shape of an answer around the real code
 * @param <R> the return type of the call
 * @since 0.2
 */
public class Answering<Q extends Shape, D extends Shape, O extends Around, R extends @Nullable Object> {

    final Supposition statement;

    Answering(Supposition statement) {
        this.statement = statement;
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
    public final Answering<Q, D, O, R> returns(@Nullable R first, @Nullable R... more) {
        statement.returns(first, (Object[]) more);
        return this;
    }

    /**
     * Answers with the result of a lambda for the pattern's free parameters; it runs on the calling thread.
     *
     * @param answer the lambda, with the types of the free parameters
     * @return this statement, to add further answers to
     */
    public final Answering<Q, D, O, R> answers(Q answer) {
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
    public final Answering<Q, D, O, R> does(D action) {
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
    public final Answering<Q, D, O, R> around(O answer) {
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
    public final Answering<Q, D, O, R> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Runs the real code: the spied object's, or the doubled type's own.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final Answering<Q, D, O, R> callsReal() {
        statement.callsReal();
        return this;
    }
}
