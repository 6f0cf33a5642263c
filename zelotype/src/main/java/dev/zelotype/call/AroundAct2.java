package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an action around the real code of a call that takes two free parameters and returns nothing.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @since 0.2
 */
@FunctionalInterface
public interface AroundAct2<A extends @Nullable Object, B extends @Nullable Object> extends Around {

    /**
     * Acts for the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @param first the first argument
     * @param second the second argument
     * @throws Throwable whatever the call is to throw
     */
    void around(Act2<A, B> real, A first, B second) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        around((first, second) -> real.spread(new @Nullable Object[] {first, second}), (A) arguments[0], (B)
                arguments[1]);
        return null;
    }
}
