package dev.zelotype.stage;

import dev.zelotype.call.Act4;
import dev.zelotype.call.Args4;
import dev.zelotype.call.AroundQuery4;
import dev.zelotype.call.Query4;
import dev.zelotype.call.Where4;
import dev.zelotype.engine.statement.Expectation;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with four free parameters that is expected: narrow it, then say the answer
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class ExpectedQuery4<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                R extends @Nullable Object>
        extends ExpectedAnswering<Query4<A, B, C, D, R>, Act4<A, B, C, D>, AroundQuery4<A, B, C, D, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedQuery4(Expectation statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @param second the value that the second free parameter must equal, or null
     * @param third the value that the third free parameter must equal, or null
     * @param fourth the value that the fourth free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public ExpectedQuery4<A, B, C, D, R> with(
            @Nullable A first, @Nullable B second, @Nullable C third, @Nullable D fourth) {
        statement.with(first, second, third, fourth);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedQuery4<A, B, C, D, R> where(Where4<A, B, C, D> condition) {
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
    public ExpectedQuery4<A, B, C, D, R> where(String description, Where4<A, B, C, D> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public ExpectedAnswering<Query4<A, B, C, D, R>, Act4<A, B, C, D>, AroundQuery4<A, B, C, D, R>, R> returnsFrom(
            Map<Args4<A, B, C, D>, ? extends R> table) {
        statement.returnsFrom(table, arguments -> new Args4<>(arguments[0], arguments[1], arguments[2], arguments[3]));
        return this;
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
