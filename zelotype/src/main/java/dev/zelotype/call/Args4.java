package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: the four arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param first the first argument
 * @param second the second argument
 * @param third the third argument
 * @param fourth the fourth argument
 * @since 0.2
 */
public record Args4<
        A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object, D extends @Nullable Object>(
        A first, B second, C third, D fourth) {}
