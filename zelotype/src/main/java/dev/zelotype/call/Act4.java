package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes four free parameters and returns nothing, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Act4<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object>
        extends Shape {

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

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        act((A) arguments[0], (B) arguments[1], (C) arguments[2], (D) arguments[3]);
        return null;
    }
}
