package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an action around the real code of a call that takes one free parameter and returns nothing.
 *
 * @param <A> the type of the first parameter
 * @since 0.2
 */
@FunctionalInterface
public interface AroundAct1<A extends @Nullable Object> extends Around {

    /**
     * Acts for the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @param first the first argument
     * @throws Throwable whatever the call is to throw
     */
    void around(Act1<A> real, A first) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        around((first) -> real.spread(new @Nullable Object[] {first}), (A) arguments[0]);
        return null;
    }
}
