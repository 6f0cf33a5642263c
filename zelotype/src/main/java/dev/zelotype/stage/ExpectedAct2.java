package dev.zelotype.stage;

import dev.zelotype.call.Act2;
import dev.zelotype.call.AroundAct2;
import dev.zelotype.call.Where2;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with two free parameters that is expected: narrow it, then say what it does
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @since 0.2
 */
public final class ExpectedAct2<A extends @Nullable Object, B extends @Nullable Object>
        extends ExpectedDoing<Act2<A, B>, AroundAct2<A, B>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct2(Expectation statement) {
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
    public ExpectedAct2<A, B> with(@Nullable A first, @Nullable B second) {
        statement.with(first, second);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedAct2<A, B> where(Where2<A, B> condition) {
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
    public ExpectedAct2<A, B> where(String description, Where2<A, B> condition) {
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
