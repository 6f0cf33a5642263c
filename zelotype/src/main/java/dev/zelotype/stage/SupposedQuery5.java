package dev.zelotype.stage;

import dev.zelotype.call.Act5;
import dev.zelotype.call.Args5;
import dev.zelotype.call.AroundQuery5;
import dev.zelotype.call.Query5;
import dev.zelotype.call.Where5;
import dev.zelotype.engine.statement.Supposition;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with five free parameters that is supposed to answer: narrow it, then say what it answers.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class SupposedQuery5<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                R extends @Nullable Object>
        extends Answering<Query5<A, B, C, D, E, R>, Act5<A, B, C, D, E>, AroundQuery5<A, B, C, D, E, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedQuery5(Supposition statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @param second the value that the second free parameter must equal, or null
     * @param third the value that the third free parameter must equal, or null
     * @param fourth the value that the fourth free parameter must equal, or null
     * @param fifth the value that the fifth free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public SupposedQuery5<A, B, C, D, E, R> with(
            @Nullable A first, @Nullable B second, @Nullable C third, @Nullable D fourth, @Nullable E fifth) {
        statement.with(first, second, third, fourth, fifth);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedQuery5<A, B, C, D, E, R> where(Where5<A, B, C, D, E> condition) {
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
    public SupposedQuery5<A, B, C, D, E, R> where(String description, Where5<A, B, C, D, E> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Gives values for the free parameters, for claims that are held against a real object; a stub takes no notice of
     * them. May be said several times.
     *
     * @param first a value of the first free parameter, or null
     * @param second a value of the second free parameter, or null
     * @param third a value of the third free parameter, or null
     * @param fourth a value of the fourth free parameter, or null
     * @param fifth a value of the fifth free parameter, or null
     * @return this statement, to go on with
     */
    public SupposedQuery5<A, B, C, D, E, R> forExample(
            @Nullable A first, @Nullable B second, @Nullable C third, @Nullable D fourth, @Nullable E fifth) {
        statement.forExample(first, second, third, fourth, fifth);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public Answering<Query5<A, B, C, D, E, R>, Act5<A, B, C, D, E>, AroundQuery5<A, B, C, D, E, R>, R> returnsFrom(
            Map<Args5<A, B, C, D, E>, ? extends R> table) {
        statement.returnsFrom(
                table, arguments -> new Args5<>(arguments[0], arguments[1], arguments[2], arguments[3], arguments[4]));
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
    public SupposedQuery5<A, B, C, D, E, R> comparedBy(BiPredicate<? super R, ? super R> alike) {
        statement.comparedBy((BiPredicate<Object, Object>) alike);
        return this;
    }

    /**
     * As {@link #comparedBy(BiPredicate)}, by a part that must be equal.
     *
     * @param key returns the part of a value to compare
     * @return this statement, to go on with
     */
    public SupposedQuery5<A, B, C, D, E, R> comparedBy(Function<? super R, ?> key) {
        return comparedBy((claimed, real) -> Objects.equals(key.apply(claimed), key.apply(real)));
    }
}
