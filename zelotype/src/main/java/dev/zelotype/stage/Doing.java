package dev.zelotype.stage;

import dev.zelotype.call.Around;
import dev.zelotype.call.Shape;
import dev.zelotype.engine.statement.Supposition;

/**
 * For tests: says what a void call does. The actions queue up: each call takes the next, and the last one stays.
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
     * Runs a lambda on the pattern's free parameters, on the calling thread: to call back, or to write into them.
     *
     * @param action the lambda, with the free parameters' own types
     * @return this statement, to add further answers to
     */
    public final Doing<D, O> does(D action) {
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
    public final Doing<D, O> around(O action) {
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
    public final Doing<D, O> fails(Throwable first, Throwable... more) {
        statement.fails(first, more);
        return this;
    }

    /**
     * Calls the real code: the spied object's, or the code that the doubled type itself has.
     *
     * @return this statement, to add further answers to
     * @throws dev.zelotype.error.MisuseException if the method has no real code
     */
    public final Doing<D, O> callsReal() {
        statement.callsReal();
        return this;
    }
}
