package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes one free parameter and gives nothing back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 */
@FunctionalInterface
public interface Act1<A> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @throws Throwable whatever the call throws
     */
    void act(A first) throws Throwable;
}
