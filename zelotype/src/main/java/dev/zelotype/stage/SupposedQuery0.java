package dev.zelotype.stage;

import dev.zelotype.call.Act0;
import dev.zelotype.call.AroundQuery0;
import dev.zelotype.call.Query0;
import dev.zelotype.engine.statement.Supposition;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a query with no free parameters that is supposed to answer: say what it answers.
 *
 * @param <R> the type of the value that comes back
 */
public final class SupposedQuery0<R extends @Nullable Object> extends Answering<Query0<R>, Act0, AroundQuery0<R>, R> {

    /**
     * For the library itself.
     *
     * @param statement what is said
     */
    @SuppressWarnings("exports")
    public SupposedQuery0(Supposition statement) {
        super(statement);
    }
}
