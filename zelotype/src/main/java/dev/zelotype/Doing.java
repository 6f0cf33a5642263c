package dev.zelotype;

import dev.zelotype.engine.run.Supposition;
import java.io.Serializable;

/**
 * Says what a void call does. The actions queue up: each call takes the next, and the last one stays.
 *
 * @param <D> the shape of an action
 */
public sealed class Doing<D extends Serializable>
        permits SupposedAct1, SupposedAct2, SupposedAct3, SupposedAct4, SupposedAct5, SupposedAct6 {

    final Supposition statement;

    Doing(Supposition statement) {
        this.statement = statement;
    }

    /**
     * Does nothing.
     *
     * @return this statement, to add further answers to
     */
    public Doing<D> doesNothing() {
        statement.doesNothing();
        return this;
    }

    /**
     * Runs a lambda on the pattern's free parameters, on the calling thread: to call back, or to write into them.
     *
     * @param action the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public Doing<D> does(D action) {
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
    public Doing<D> fails(Throwable failure) {
        statement.fails(failure);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if there is no real code
     */
    public Doing<D> callsReal() {
        statement.callsReal();
        return this;
    }
}
