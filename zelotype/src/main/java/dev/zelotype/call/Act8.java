package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes eight free parameters and returns nothing, written as a method reference or a lambda.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @param <G> the type of the seventh parameter
 * @param <H> the type of the eighth parameter
 * @since 0.2
 */
@FunctionalInterface
public interface Act8<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object,
                G extends @Nullable Object,
                H extends @Nullable Object>
        extends Shape {

    /**
     * Makes the call.
     *
     * @param first the first argument
     * @param second the second argument
     * @param third the third argument
     * @param fourth the fourth argument
     * @param fifth the fifth argument
     * @param sixth the sixth argument
     * @param seventh the seventh argument
     * @param eighth the eighth argument
     * @throws Throwable whatever the call throws
     */
    void act(A first, B second, C third, D fourth, E fifth, F sixth, G seventh, H eighth) throws Throwable;

    @Override
    @SuppressWarnings("unchecked")
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        act(
                (A) arguments[0],
                (B) arguments[1],
                (C) arguments[2],
                (D) arguments[3],
                (E) arguments[4],
                (F) arguments[5],
                (G) arguments[6],
                (H) arguments[7]);
        return null;
    }
}
