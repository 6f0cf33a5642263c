package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an action around the real code of a call that takes five free parameters and returns nothing.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @since 0.2
 */
@FunctionalInterface
public interface AroundAct5<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object>
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
     * @throws Throwable whatever the call is to throw
     */
    void around(Act5<A, B, C, D, E> real, A first, B second, C third, D fourth, E fifth) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        around(
                (first, second, third, fourth, fifth) ->
                        real.spread(new @Nullable Object[] {first, second, third, fourth, fifth}),
                (A) arguments[0],
                (B) arguments[1],
                (C) arguments[2],
                (D) arguments[3],
                (E) arguments[4]);
        return null;
    }
}
