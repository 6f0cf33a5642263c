package dev.zelotype.call;

/**
 * The three arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param first the first argument
 * @param second the second argument
 * @param third the third argument
 */
public record Args3<A, B, C>(A first, B second, C third) {}
