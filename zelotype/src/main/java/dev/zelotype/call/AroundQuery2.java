package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an answer around the real code of a call that takes two free parameters and returns a value.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface AroundQuery2<A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object>
        extends Around {

    /**
     * Answers the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @param first the first argument
     * @param second the second argument
     * @return what the call answers
     * @throws Throwable whatever the call is to throw
     */
    R around(Query2<A, B, R> real, A first, B second) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        return around((first, second) -> (R) real.spread(new @Nullable Object[] {first, second}), (A) arguments[0], (B)
                arguments[1]);
    }
}
