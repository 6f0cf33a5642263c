package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: the three arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param first the first argument
 * @param second the second argument
 * @param third the third argument
 * @since 0.2
 */
public record Args3<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>(
        A first, B second, C third) {}
