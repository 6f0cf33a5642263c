package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes two free parameters and gives a value back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <R> the type of the value that comes back
 */
@FunctionalInterface
public interface Query2<A, B, R> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask(A first, B second) throws Throwable;
}
