package dev.zelotype.stage;

import dev.zelotype.call.Act8;
import dev.zelotype.call.Args8;
import dev.zelotype.call.AroundQuery8;
import dev.zelotype.call.Query8;
import dev.zelotype.call.Where8;
import dev.zelotype.engine.statement.Expectation;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with eight free parameters that is expected: narrow it, then say the answer
 * and how often it happens.
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
public final class ExpectedQuery8<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object,
                G extends @Nullable Object,
                H extends @Nullable Object,
                R extends @Nullable Object>
        extends ExpectedAnswering<
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
    public ExpectedQuery8(Expectation statement) {
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
    public ExpectedQuery8<A, B, C, D, E, F, G, H, R> with(
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
    public ExpectedQuery8<A, B, C, D, E, F, G, H, R> where(Where8<A, B, C, D, E, F, G, H> condition) {
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
    public ExpectedQuery8<A, B, C, D, E, F, G, H, R> where(
            String description, Where8<A, B, C, D, E, F, G, H> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public ExpectedAnswering<
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
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
