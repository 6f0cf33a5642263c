package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a condition on the two free parameters of a call pattern.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Where2<A extends @Nullable Object, B extends @Nullable Object> extends Shape {

    /**
     * Tells whether a call with these arguments is meant.
     *
     * @param first the first argument
     * @param second the second argument
     * @return whether the pattern covers the call
     */
    boolean holds(A first, B second);

    @Override
    @SuppressWarnings("unchecked")
    default Object spread(@Nullable Object[] arguments) {
        return holds((A) arguments[0], (B) arguments[1]);
    }
}
