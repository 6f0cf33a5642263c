package dev.zelotype;

import dev.zelotype.call.Act6;
import dev.zelotype.call.Where6;
import dev.zelotype.engine.run.Supposition;

/**
 * A void call with six free parameters that is supposed to answer: narrow it, then say what it does.
 *
 * @param <A> the type of the first parameter
 * @param <B> the type of the second parameter
 * @param <C> the type of the third parameter
 * @param <D> the type of the fourth parameter
 * @param <E> the type of the fifth parameter
 * @param <F> the type of the sixth parameter
 */
public final class SupposedAct6<A, B, C, D, E, F> extends Doing<Act6<A, B, C, D, E, F>> {

    SupposedAct6(Supposition statement) {
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
     */
    public SupposedAct6<A, B, C, D, E, F> with(A first, B second, C third, D fourth, E fifth, F sixth) {
        statement.with(first, second, third, fourth, fifth, sixth);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedAct6<A, B, C, D, E, F> where(Where6<A, B, C, D, E, F> condition) {
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
    public SupposedAct6<A, B, C, D, E, F> where(String description, Where6<A, B, C, D, E, F> condition) {
        statement.where(description, condition);
        return this;
    }
}
