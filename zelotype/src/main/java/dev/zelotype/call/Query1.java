package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes one free parameter and gives a value back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <R> the type of the value that comes back
 */
@FunctionalInterface
public interface Query1<A, R> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask(A first) throws Throwable;
}
