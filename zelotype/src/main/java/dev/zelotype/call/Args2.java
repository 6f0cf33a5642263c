package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: the two arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param first the first argument
 * @param second the second argument
 * @since 0.2
 */
public record Args2<A extends @Nullable Object, B extends @Nullable Object>(A first, B second) {}
