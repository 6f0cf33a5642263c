package dev.zelotype.stage;

import dev.zelotype.call.Act8;
import dev.zelotype.call.AroundAct8;
import dev.zelotype.call.Where8;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with eight free parameters that is expected: narrow it, then say what it does
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
 * @since 0.2
 */
public final class ExpectedAct8<
                A extends @Nullable Object,
                B extends @Nullable Object,
                C extends @Nullable Object,
                D extends @Nullable Object,
                E extends @Nullable Object,
                F extends @Nullable Object,
                G extends @Nullable Object,
                H extends @Nullable Object>
        extends ExpectedDoing<Act8<A, B, C, D, E, F, G, H>, AroundAct8<A, B, C, D, E, F, G, H>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct8(Expectation statement) {
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
    public ExpectedAct8<A, B, C, D, E, F, G, H> with(
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
    public ExpectedAct8<A, B, C, D, E, F, G, H> where(Where8<A, B, C, D, E, F, G, H> condition) {
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
    public ExpectedAct8<A, B, C, D, E, F, G, H> where(String description, Where8<A, B, C, D, E, F, G, H> condition) {
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
