package dev.zelotype.stage;

import dev.zelotype.call.Act0;
import dev.zelotype.call.AroundQuery0;
import dev.zelotype.call.Query0;
import dev.zelotype.engine.statement.Expectation;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with no free parameters that is expected: say the answer
 * and how often it happens.
 *
 * @param <R> the type of the value that is returned
 * @since 0.2
 */
public final class ExpectedQuery0<R extends @Nullable Object>
        extends ExpectedAnswering<Query0<R>, Act0, AroundQuery0<R>, R> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedQuery0(Expectation statement) {
        super(statement);
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
