package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;

/**
 * For tests: a check on calls with no free parameters: say how often they must have happened.
 *
 * @since 0.2
 */
public final class Check0 extends Counting {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public Check0(Check statement) {
        super(statement);
    }
}
