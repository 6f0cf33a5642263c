package dev.zelotype.call;

/**
 * The four arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param first the first argument
 * @param second the second argument
 * @param third the third argument
 * @param fourth the fourth argument
 */
public record Args4<A, B, C, D>(A first, B second, C third, D fourth) {}
