package dev.zelotype;

import dev.zelotype.engine.run.Supposition;
import java.io.Serializable;

/**
 * Says what a query answers. The answers queue up: each call takes the next, and the last one stays.
 *
 * @param <Q> the shape of a computed answer
 * @param <R> what the call gives back
 */
public sealed class Answering<Q extends Serializable, R>
        permits SupposedQuery1, SupposedQuery2, SupposedQuery3, SupposedQuery4, SupposedQuery5, SupposedQuery6 {

    final Supposition statement;

    Answering(Supposition statement) {
        this.statement = statement;
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
    public final Answering<Q, R> returns(R first, R... more) {
        statement.returns(first, (Object[]) more);
        return this;
    }

    /**
     * Answers with what a lambda makes of the pattern's free parameters; it runs on the calling thread.
     *
     * @param answer the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public Answering<Q, R> answers(Q answer) {
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
    public Answering<Q, R> fails(Throwable failure) {
        statement.fails(failure);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if there is no real code
     */
    public Answering<Q, R> callsReal() {
        statement.callsReal();
        return this;
    }
}
