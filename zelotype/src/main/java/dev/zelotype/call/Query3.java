package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes three free parameters and returns a value, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface Query3<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                R extends @Nullable Object>
        extends Shape {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @return what the call answers
     * @throws Throwable whatever the call throws
     */
    R ask(A first, B second, C third) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        return ask((A) arguments[0], (B) arguments[1], (C) arguments[2]);
    }
}
