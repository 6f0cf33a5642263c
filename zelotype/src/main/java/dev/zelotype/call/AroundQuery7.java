package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an answer around the real code of a call that takes seven free parameters and returns a value.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @param <G> the type of the seventh parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface AroundQuery7<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object,
                G extends @Nullable Object,
                R extends @Nullable Object>
        extends Around {

    /**
     * Answers the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @param fifth the fifth argument
     * @param sixth the sixth argument
     * @param seventh the seventh argument
     * @return what the call answers
     * @throws Throwable whatever the call is to throw
     */
    R around(Query7<A, B, C, D, E, F, G, R> real, A first, B second, C third, D fourth, E fifth, F sixth, G seventh)
            throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        return around(
                (first, second, third, fourth, fifth, sixth, seventh) ->
                        (R) real.spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth, seventh}),
                (A) arguments[0],
                (B) arguments[1],
                (C) arguments[2],
                (D) arguments[3],
                (E) arguments[4],
                (F) arguments[5],
                (G) arguments[6]);
    }
}
