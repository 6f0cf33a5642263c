package dev.zelotype.stage;

import dev.zelotype.call.Act0;
import dev.zelotype.call.AroundQuery0;
import dev.zelotype.call.Query0;
import dev.zelotype.engine.statement.Supposition;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with no free parameters that is supposed to answer: say what it answers.
 *
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class SupposedQuery0<R extends @Nullable Object> extends Answering<Query0<R>, Act0, AroundQuery0<R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedQuery0(Supposition statement) {
        super(statement);
    }
    /**
     * Sets how the answer is compared with that of a real object if {@code equals} is not suitable, for claims that are
     * checked against one; a stub ignores it.
     *
     * @param alike given the claimed value and the real one, tells whether they are alike
     * @return this statement, to go on with
     */
    @SuppressWarnings("unchecked")
    public SupposedQuery0<R> comparedBy(BiPredicate<? super R, ? super R> alike) {
        statement.comparedBy((BiPredicate<Object, Object>) alike);
        return this;
    }

    /**
     * As {@link #comparedBy(BiPredicate)}, by a part that must be equal.
     *
     * @param key returns the part of a value to compare
     * @return this statement, to go on with
     */
    public SupposedQuery0<R> comparedBy(Function<? super R, ?> key) {
        return comparedBy((claimed, real) -> Objects.equals(key.apply(claimed), key.apply(real)));
    }
}
