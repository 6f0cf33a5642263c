package dev.zelotype.stage;

import dev.zelotype.call.Act2;
import dev.zelotype.call.Args2;
import dev.zelotype.call.AroundQuery2;
import dev.zelotype.call.Query2;
import dev.zelotype.call.Where2;
import dev.zelotype.engine.statement.Expectation;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with two free parameters that is expected: narrow it, then say the answer
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class ExpectedQuery2<A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object>
        extends ExpectedAnswering<Query2<A, B, R>, Act2<A, B>, AroundQuery2<A, B, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedQuery2(Expectation statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @param second the value that the second free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public ExpectedQuery2<A, B, R> with(@Nullable A first, @Nullable B second) {
        statement.with(first, second);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedQuery2<A, B, R> where(Where2<A, B> condition) {
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
    public ExpectedQuery2<A, B, R> where(String description, Where2<A, B> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public ExpectedAnswering<Query2<A, B, R>, Act2<A, B>, AroundQuery2<A, B, R>, R> returnsFrom(
            Map<Args2<A, B>, ? extends R> table) {
        statement.returnsFrom(table, arguments -> new Args2<>(arguments[0], arguments[1]));
        return this;
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
