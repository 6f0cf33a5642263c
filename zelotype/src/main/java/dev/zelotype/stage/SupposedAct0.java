package dev.zelotype.stage;

import dev.zelotype.call.Act0;
import dev.zelotype.call.AroundAct0;
import dev.zelotype.engine.statement.Supposition;

/**
 * For tests: a void call with no free parameters that is supposed to answer: say what it does.
 *
 * @since 0.2
 */
public final class SupposedAct0 extends Doing<Act0, AroundAct0> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedAct0(Supposition statement) {
        super(statement);
    }
}
