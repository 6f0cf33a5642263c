package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a condition on the four free parameters of a call pattern.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Where4<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object>
        extends Shape {

    /**
     * Tells whether a call with these arguments is meant.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @return whether the pattern covers the call
     */
    boolean holds(A first, B second, C third, D fourth);

    @Override
    @SuppressWarnings("unchecked")
    default Object spread(@Nullable Object[] arguments) {
        return holds((A) arguments[0], (B) arguments[1], (C) arguments[2], (D) arguments[3]);
    }
}
