package dev.zelotype.stage;

import dev.zelotype.call.Args2;
import dev.zelotype.engine.statement.Check;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the two arguments of recorded calls, a row a call, in the order of the calls.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @see dev.zelotype.Zelotype#recorded(dev.zelotype.call.Query1)
 * @since 0.2
 */
public final class Recorded2<A extends @Nullable Object, B extends @Nullable Object> extends Recorded<Args2<A, B>> {

    /**
     * Makes something of the arguments of a call.
     *
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of what it makes
     */
    @FunctionalInterface
    public interface Each<A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object> {

        /**
         * Makes something of the arguments of a call.
         *
         * @param first the first argument
         * @param second the second argument
         * @return what it makes
         */
        R of(A first, B second);
    }

    /**
     * For the facade only.
     *
     * @param check what covers the calls
     */
    @SuppressWarnings({"exports", "unchecked"})
    public Recorded2(Check check) {
        super(check, arguments -> new Args2<>((A) arguments[0], (B) arguments[1]));
    }

    /**
     * What a function makes of the arguments of each call.
     *
     * @param each the function
     * @param <R> the type of what it makes
     * @return a row a call, unmodifiable
     */
    public <R extends @Nullable Object> List<R> map(Each<? super A, ? super B, ? extends R> each) {
        return map(row -> each.of(row.first(), row.second()));
    }
    /**
     * The first arguments.
     *
     * @return one a call, unmodifiable
     */
    public List<A> firsts() {
        return map(row -> row.first());
    }
    /**
     * The second arguments.
     *
     * @return one a call, unmodifiable
     */
    public List<B> seconds() {
        return map(row -> row.second());
    }
}
