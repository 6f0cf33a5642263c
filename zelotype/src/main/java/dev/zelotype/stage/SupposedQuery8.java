package dev.zelotype.stage;

import dev.zelotype.call.Act8;
import dev.zelotype.call.Args8;
import dev.zelotype.call.AroundQuery8;
import dev.zelotype.call.Query8;
import dev.zelotype.call.Where8;
import dev.zelotype.engine.statement.Supposition;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with eight free parameters that is supposed to answer: narrow it, then say what it answers.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @param <G> the type of the seventh parameter
 * @param <H> the type of the eighth parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class SupposedQuery8<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object,
                G extends @Nullable Object,
                H extends @Nullable Object,
                R extends @Nullable Object>
        extends Answering<
                Query8<A, B, C, D, E, F, G, H, R>,
                Act8<A, B, C, D, E, F, G, H>,
                AroundQuery8<A, B, C, D, E, F, G, H, R>,
                R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedQuery8(Supposition statement) {
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
     * @param sixth the value that the sixth free parameter must equal, or null
     * @param seventh the value that the seventh free parameter must equal, or null
     * @param eighth the value that the eighth free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> with(
            @Nullable A first,
            @Nullable B second,
            @Nullable C third,
            @Nullable D fourth,
            @Nullable E fifth,
            @Nullable F sixth,
            @Nullable G seventh,
            @Nullable H eighth) {
        statement.with(first, second, third, fourth, fifth, sixth, seventh, eighth);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> where(Where8<A, B, C, D, E, F, G, H> condition) {
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
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> where(
            String description, Where8<A, B, C, D, E, F, G, H> condition) {
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
     * @param sixth a value of the sixth free parameter, or null
     * @param seventh a value of the seventh free parameter, or null
     * @param eighth a value of the eighth free parameter, or null
     * @return this statement, to go on with
     */
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> forExample(
            @Nullable A first,
            @Nullable B second,
            @Nullable C third,
            @Nullable D fourth,
            @Nullable E fifth,
            @Nullable F sixth,
            @Nullable G seventh,
            @Nullable H eighth) {
        statement.forExample(first, second, third, fourth, fifth, sixth, seventh, eighth);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public Answering<
                    Query8<A, B, C, D, E, F, G, H, R>,
                    Act8<A, B, C, D, E, F, G, H>,
                    AroundQuery8<A, B, C, D, E, F, G, H, R>,
                    R>
            returnsFrom(Map<Args8<A, B, C, D, E, F, G, H>, ? extends R> table) {
        statement.returnsFrom(
                table,
                arguments -> new Args8<>(
                        arguments[0],
                        arguments[1],
                        arguments[2],
                        arguments[3],
                        arguments[4],
                        arguments[5],
                        arguments[6],
                        arguments[7]));
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
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> comparedBy(BiPredicate<? super R, ? super R> alike) {
        statement.comparedBy((BiPredicate<Object, Object>) alike);
        return this;
    }

    /**
     * As {@link #comparedBy(BiPredicate)}, by a part that must be equal.
     *
     * @param key returns the part of a value to compare
     * @return this statement, to go on with
     */
    public SupposedQuery8<A, B, C, D, E, F, G, H, R> comparedBy(Function<? super R, ?> key) {
        return comparedBy((claimed, real) -> Objects.equals(key.apply(claimed), key.apply(real)));
    }
}
