package dev.zelotype.stage;

import dev.zelotype.call.Act1;
import dev.zelotype.call.AroundAct1;
import dev.zelotype.call.Where1;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with one free parameter that is expected: narrow it, then say what it does
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @since 0.2
 */
public final class ExpectedAct1<A extends @Nullable Object> extends ExpectedDoing<Act1<A>, AroundAct1<A>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct1(Expectation statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public ExpectedAct1<A> with(@Nullable A first) {
        statement.with(first);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedAct1<A> where(Where1<A> condition) {
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
    public ExpectedAct1<A> where(String description, Where1<A> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
