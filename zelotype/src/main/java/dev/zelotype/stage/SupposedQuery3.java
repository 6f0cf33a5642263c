package dev.zelotype.stage;

import dev.zelotype.call.Act3;
import dev.zelotype.call.Args3;
import dev.zelotype.call.AroundQuery3;
import dev.zelotype.call.Query3;
import dev.zelotype.call.Where3;
import dev.zelotype.engine.statement.Supposition;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with three free parameters that is supposed to answer: narrow it, then say what it answers.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class SupposedQuery3<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                R extends @Nullable Object>
        extends Answering<Query3<A, B, C, R>, Act3<A, B, C>, AroundQuery3<A, B, C, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedQuery3(Supposition statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @param second the value that the second free parameter must equal, or null
     * @param third the value that the third free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public SupposedQuery3<A, B, C, R> with(@Nullable A first, @Nullable B second, @Nullable C third) {
        statement.with(first, second, third);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedQuery3<A, B, C, R> where(Where3<A, B, C> condition) {
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
    public SupposedQuery3<A, B, C, R> where(String description, Where3<A, B, C> condition) {
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
     * @return this statement, to go on with
     */
    public SupposedQuery3<A, B, C, R> forExample(@Nullable A first, @Nullable B second, @Nullable C third) {
        statement.forExample(first, second, third);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public Answering<Query3<A, B, C, R>, Act3<A, B, C>, AroundQuery3<A, B, C, R>, R> returnsFrom(
            Map<Args3<A, B, C>, ? extends R> table) {
        statement.returnsFrom(table, arguments -> new Args3<>(arguments[0], arguments[1], arguments[2]));
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
    public SupposedQuery3<A, B, C, R> comparedBy(BiPredicate<? super R, ? super R> alike) {
        statement.comparedBy((BiPredicate<Object, Object>) alike);
        return this;
    }

    /**
     * As {@link #comparedBy(BiPredicate)}, by a part that must be equal.
     *
     * @param key returns the part of a value to compare
     * @return this statement, to go on with
     */
    public SupposedQuery3<A, B, C, R> comparedBy(Function<? super R, ?> key) {
        return comparedBy((claimed, real) -> Objects.equals(key.apply(claimed), key.apply(real)));
    }
}
