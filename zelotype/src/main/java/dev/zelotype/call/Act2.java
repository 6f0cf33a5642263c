package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes two free parameters and gives nothing back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 */
@FunctionalInterface
public interface Act2<A, B> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @throws Throwable whatever the call throws
     */
    void act(A first, B second) throws Throwable;
}
