package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes four free parameters and gives nothing back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 */
@FunctionalInterface
public interface Act4<A, B, C, D> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @throws Throwable whatever the call throws
     */
    void act(A first, B second, C third, D fourth) throws Throwable;
}
