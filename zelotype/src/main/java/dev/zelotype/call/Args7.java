package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: the seven arguments of a recorded call, each with its own type.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @param <G> the type of the seventh parameter
 * @param first the first argument
 * @param second the second argument
 * @param third the third argument
 * @param fourth the fourth argument
 * @param fifth the fifth argument
 * @param sixth the sixth argument
 * @param seventh the seventh argument
 * @since 0.2
 */
public record Args7<
        A extends @Nullable Object,
        B extends @Nullable Object,
        C extends @Nullable Object,
        D extends @Nullable Object,
        E extends @Nullable Object,
        F extends @Nullable Object,
        G extends @Nullable Object>(
        A first, B second, C third, D fourth, E fifth, F sixth, G seventh) {}
