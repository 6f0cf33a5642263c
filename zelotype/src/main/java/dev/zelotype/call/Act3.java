package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes three free parameters and gives nothing back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 */
@FunctionalInterface
public interface Act3<A, B, C> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @throws Throwable whatever the call throws
     */
    void act(A first, B second, C third) throws Throwable;
}
