package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Supposition;

/**
 * For tests: sets what a void call does. Actions are used in sequence: each call gets the next, and the last one is
 * repeated.
 *
 * @param <D> the shape of an action
 * @param <O> the shape of an action around the real code
 * @since 0.2
 */
public class Doing<D extends Shape, O extends Around> {

    final Supposition statement;

    Doing(Supposition statement) {
        this.statement = statement;
    }

    /**
     * Does nothing.
     *
     * @return this statement, to add further answers to
     */
    public final Doing<D, O> doesNothing() {
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
    public final Doing<D, O> does(D action) {
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
    public final Doing<D, O> around(O action) {
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
    public final Doing<D, O> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Runs the real code: the spied object's, or the doubled type's own.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final Doing<D, O> callsReal() {
        statement.callsReal();
        return this;
    }
}
