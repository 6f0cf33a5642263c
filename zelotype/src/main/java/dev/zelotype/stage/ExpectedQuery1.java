package dev.zelotype.stage;

import dev.zelotype.call.Act1;
import dev.zelotype.call.AroundQuery1;
import dev.zelotype.call.Query1;
import dev.zelotype.call.Where1;
import dev.zelotype.engine.statement.Expectation;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with one free parameter that is expected: narrow it, then say the answer
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class ExpectedQuery1<A extends @Nullable Object, R extends @Nullable Object>
        extends ExpectedAnswering<Query1<A, R>, Act1<A>, AroundQuery1<A, R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedQuery1(Expectation statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public ExpectedQuery1<A, R> with(@Nullable A first) {
        statement.with(first);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedQuery1<A, R> where(Where1<A> condition) {
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
    public ExpectedQuery1<A, R> where(String description, Where1<A> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Answers from a table: a call whose arguments are not in the table is not covered by this statement.
     *
     * @param table the answers by arguments; copied immediately
     * @return the statement, to add further answers to
     */
    public ExpectedAnswering<Query1<A, R>, Act1<A>, AroundQuery1<A, R>, R> returnsFrom(Map<A, ? extends R> table) {
        statement.returnsFrom(table, arguments -> arguments[0]);
        return this;
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
