package dev.zelotype.stage;

import dev.zelotype.call.Args3;
import dev.zelotype.engine.statement.Check;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the three arguments of recorded calls, a row a call, in the order of the calls.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @see dev.zelotype.Zelotype#recorded(dev.zelotype.call.Query1)
 * @since 0.2
 */
public final class Recorded3<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
        extends Recorded<Args3<A, B, C>> {

    /**
     * Converts the arguments of a call.
     *
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the results
     */
    @FunctionalInterface
    public interface Each<
            A extends @Nullable Object,
            B extends @Nullable Object,
            C extends @Nullable Object,
            R extends @Nullable Object> {

        /**
         * Converts the arguments of a call.
         *
         * @param first the first argument
         * @param second the second argument
         * @param third the third argument
         * @return what it makes
         */
        R of(A first, B second, C third);
    }

    /**
     * For the facade only.
     *
     * @param check whether a call is covered
     */
    @SuppressWarnings({"exports", "unchecked"})
    public Recorded3(Check check) {
        super(check, arguments -> new Args3<>((A) arguments[0], (B) arguments[1], (C) arguments[2]));
    }

    /**
     * Applies a function to the arguments of each call.
     *
     * @param each the function
     * @param <R> the type of the results
     * @return one row per call, unmodifiable
     */
    public <R extends @Nullable Object> List<R> map(Each<? super A, ? super B, ? super C, ? extends R> each) {
        return map(row -> each.of(row.first(), row.second(), row.third()));
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
}
