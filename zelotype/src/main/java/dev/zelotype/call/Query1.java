package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes one free parameter and returns a value, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface Query1<A extends @Nullable Object, R extends @Nullable Object> extends Shape {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask(A first) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        return ask((A) arguments[0]);
    }
}
