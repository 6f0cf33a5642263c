package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an answer around the real code of a call that takes no free parameters and returns a value.
 *
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
@FunctionalInterface
public interface AroundQuery0<R extends @Nullable Object> extends Around {

    /**
     * Answers the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @return what the call answers
     * @throws Throwable whatever the call is to throw
     */
    R around(Query0<R> real) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        return around(() -> (R) real.spread(new @Nullable Object[] {}));
    }
}
