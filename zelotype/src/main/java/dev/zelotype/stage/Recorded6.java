package dev.zelotype.stage;

import dev.zelotype.call.Args6;
import dev.zelotype.engine.statement.Check;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the six arguments of recorded calls, a row a call, in the order of the calls.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @see dev.zelotype.Zelotype#recorded(dev.zelotype.call.Query1)
 * @since 0.2
 */
public final class Recorded6<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object>
        extends Recorded<Args6<A, B, C, D, E, F>> {

    /**
     * Converts the arguments of a call.
     *
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <R> the type of the results
     */
    @FunctionalInterface
    public interface Each<
            A extends @Nullable Object,
            B extends @Nullable Object,
            C extends @Nullable Object,
            D extends @Nullable Object,
            E extends @Nullable Object,
            F extends @Nullable Object,
            R extends @Nullable Object> {

        /**
         * Converts the arguments of a call.
         *
         * @param first the first argument
         * @param second the second argument
         * @param third the third argument
         * @param fourth the fourth argument
         * @param fifth the fifth argument
         * @param sixth the sixth argument
         * @return what it makes
         */
        R of(A first, B second, C third, D fourth, E fifth, F sixth);
    }

    /**
     * For the facade only.
     *
     * @param check whether a call is covered
     */
    @SuppressWarnings({"exports", "unchecked"})
    public Recorded6(Check check) {
        super(
                check,
                arguments -> new Args6<>(
                        (A) arguments[0], (B) arguments[1], (C) arguments[2], (D) arguments[3], (E) arguments[4], (F)
                                arguments[5]));
    }

    /**
     * Applies a function to the arguments of each call.
     *
     * @param each the function
     * @param <R> the type of the results
     * @return one row per call, unmodifiable
     */
    public <R extends @Nullable Object> List<R> map(
            Each<? super A, ? super B, ? super C, ? super D, ? super E, ? super F, ? extends R> each) {
        return map(row -> each.of(row.first(), row.second(), row.third(), row.fourth(), row.fifth(), row.sixth()));
    }
    /**
     * The first arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<A> firsts() {
        return map(row -> row.first());
    }
    /**
     * The second arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<B> seconds() {
        return map(row -> row.second());
    }
    /**
     * The third arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<C> thirds() {
        return map(row -> row.third());
    }
    /**
     * The fourth arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<D> fourths() {
        return map(row -> row.fourth());
    }
    /**
     * The fifth arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<E> fifths() {
        return map(row -> row.fifth());
    }
    /**
     * The sixth arguments.
     *
     * @return one per call, unmodifiable
     */
    public List<F> sixths() {
        return map(row -> row.sixth());
    }
}
