package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an action around the real code of a call that takes six free parameters and returns nothing.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @since 0.2
 */
@FunctionalInterface
public interface AroundAct6<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object>
        extends Around {

    /**
     * Acts for the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @param fifth the fifth argument
     * @param sixth the sixth argument
     * @throws Throwable whatever the call is to throw
     */
    void around(Act6<A, B, C, D, E, F> real, A first, B second, C third, D fourth, E fifth, F sixth) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        around(
                (first, second, third, fourth, fifth, sixth) ->
                        real.spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth}),
                (A) arguments[0],
                (B) arguments[1],
                (C) arguments[2],
                (D) arguments[3],
                (E) arguments[4],
                (F) arguments[5]);
        return null;
    }
}
