package dev.zelotype.stage;

import dev.zelotype.call.Act6;
import dev.zelotype.call.AroundAct6;
import dev.zelotype.call.Where6;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with six free parameters that is expected: narrow it, then say what it does
 * and how often it happens.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 * @since 0.2
 */
public final class ExpectedAct6<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object>
        extends ExpectedDoing<Act6<A, B, C, D, E, F>, AroundAct6<A, B, C, D, E, F>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct6(Expectation statement) {
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
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public ExpectedAct6<A, B, C, D, E, F> with(
            @Nullable A first,
            @Nullable B second,
            @Nullable C third,
            @Nullable D fourth,
            @Nullable E fifth,
            @Nullable F sixth) {
        statement.with(first, second, third, fourth, fifth, sixth);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public ExpectedAct6<A, B, C, D, E, F> where(Where6<A, B, C, D, E, F> condition) {
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
    public ExpectedAct6<A, B, C, D, E, F> where(String description, Where6<A, B, C, D, E, F> condition) {
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
