package dev.zelotype.stage;

import dev.zelotype.call.Act1;
import dev.zelotype.call.AroundQuery1;
import dev.zelotype.call.Query1;
import dev.zelotype.call.Where1;
import dev.zelotype.engine.statement.Supposition;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with one free parameter that is supposed to answer: narrow it, then say what it answers.
 *
 * @param <A> the type of the first parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class SupposedQuery1<A extends @Nullable Object, R extends @Nullable Object>
        extends Answering<Query1<A, R>, Act1<A>, AroundQuery1<A, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedQuery1(Supposition statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public SupposedQuery1<A, R> with(@Nullable A first) {
        statement.with(first);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedQuery1<A, R> where(Where1<A> condition) {
        statement.where(null, condition);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition that failures call by its name.
     *
     * @param description what the condition says, such as {@code "above the horizon"}
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedQuery1<A, R> where(String description, Where1<A> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Gives values for the free parameters, for claims that are held against a real object; a stub takes no notice of
     * them. May be said several times.
     *
     * @param first a value of the first free parameter, or null
     * @param more further ones, each an example of its own
     * @return this statement, to go on with
     */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public final SupposedQuery1<A, R> forExample(@Nullable A first, @Nullable A... more) {
        statement.forExample(first);
        for (A each : more) {
            statement.forExample(each);
        }
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public Answering<Query1<A, R>, Act1<A>, AroundQuery1<A, R>, R> returnsFrom(Map<A, ? extends R> table) {
        statement.returnsFrom(table, arguments -> arguments[0]);
        return this;
    }
    /**
     * Sets how the answer is compared with that of a real object if {@code equals} is not suitable, for claims that are
     * checked against one; a stub ignores it.
     *
     * @param alike given the claimed value and the real one, tells whether they are alike
     * @return this statement, to go on with
     */
    @SuppressWarnings("unchecked")
    public SupposedQuery1<A, R> comparedBy(BiPredicate<? super R, ? super R> alike) {
        statement.comparedBy((BiPredicate<Object, Object>) alike);
        return this;
    }

    /**
     * As {@link #comparedBy(BiPredicate)}, by a part that must be equal.
     *
     * @param key returns the part of a value to compare
     * @return this statement, to go on with
     */
    public SupposedQuery1<A, R> comparedBy(Function<? super R, ?> key) {
        return comparedBy((claimed, real) -> Objects.equals(key.apply(claimed), key.apply(real)));
    }
}
