package dev.zelotype.stage;

import dev.zelotype.call.Act0;
import dev.zelotype.call.AroundAct0;
import dev.zelotype.engine.statement.Expectation;

/**
 * For tests: a void call with no free parameters that is expected: say what it does
 * and how often it happens.
 *
 * @since 0.2
 */
public final class ExpectedAct0 extends ExpectedDoing<Act0, AroundAct0> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public ExpectedAct0(Expectation statement) {
        super(statement);
    }

    /**
     * Expects no call. That completes the statement, because there is nothing to answer.
     */
    public void never() {
        statement.count(0, 0);
    }
}
