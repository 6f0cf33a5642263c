package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes no free parameters and returns a value, written as a method reference or a lambda.
 *
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface Query0<R extends @Nullable Object> extends Shape {

    /**
     * Makes the call.
     *
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask() throws Throwable;

    @Override
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        return ask();
    }
}
