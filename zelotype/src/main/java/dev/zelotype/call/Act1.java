package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes one free parameter and returns nothing, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Act1<A extends @Nullable Object> extends Shape {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @throws Throwable whatever the call throws
     */
    void act(A first) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        act((A) arguments[0]);
        return null;
    }
}
