package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a condition on the one free parameter of a call pattern.
 *
 * @param <A> the type of the first parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Where1<A extends @Nullable Object> extends Shape {

    /**
     * Tells whether a call with these arguments is meant.
     *
     * @param first the first argument
     * @return whether the pattern covers the call
     */
    boolean holds(A first);

    @Override
    @SuppressWarnings("unchecked")
    default Object spread(@Nullable Object[] arguments) {
        return holds((A) arguments[0]);
    }
}
