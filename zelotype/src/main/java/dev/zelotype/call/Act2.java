package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes two free parameters and returns nothing, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Act2<A extends @Nullable Object, B extends @Nullable Object> extends Shape {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @throws Throwable whatever the call throws
     */
    void act(A first, B second) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        act((A) arguments[0], (B) arguments[1]);
        return null;
    }
}
