package dev.zelotype.stage;

import dev.zelotype.call.Act3;
import dev.zelotype.call.AroundAct3;
import dev.zelotype.call.Where3;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with three free parameters that is expected: narrow it, then say what it does
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @since 0.2
 */
public final class ExpectedAct3<A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
        extends ExpectedDoing<Act3<A, B, C>, AroundAct3<A, B, C>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct3(Expectation statement) {
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
    public ExpectedAct3<A, B, C> with(@Nullable A first, @Nullable B second, @Nullable C third) {
        statement.with(first, second, third);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedAct3<A, B, C> where(Where3<A, B, C> condition) {
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
    public ExpectedAct3<A, B, C> where(String description, Where3<A, B, C> condition) {
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
