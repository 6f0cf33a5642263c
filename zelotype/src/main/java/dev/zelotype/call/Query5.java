package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes five free parameters and gives a value back, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <R> the type of the value that comes back
 */
@FunctionalInterface
public interface Query5<A, B, C, D, E, R> extends Serializable {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @param fifth the fifth argument
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask(A first, B second, C third, D fourth, E fifth) throws Throwable;
}
