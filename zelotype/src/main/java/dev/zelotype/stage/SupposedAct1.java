package dev.zelotype.stage;

import dev.zelotype.call.Act1;
import dev.zelotype.call.AroundAct1;
import dev.zelotype.call.Where1;
import dev.zelotype.engine.statement.Supposition;
import org.jspecify.annotations.Nullable;

/**
 * For tests: a void call with one free parameter that is supposed to answer: narrow it, then say what it does.
 *
 * @param <A> the type of the first parameter
 * @since 0.2
 */
public final class SupposedAct1<A extends @Nullable Object> extends Doing<Act1<A>, AroundAct1<A>> {

    /**
     * For the library itself.
     *
     * @param statement the statement
     */
    @SuppressWarnings("exports")
    public SupposedAct1(Supposition statement) {
        super(statement);
    }
    /**
     * Narrows the pattern to calls with equal arguments (arrays by content).
     *
     * @param first the value that the first free parameter must equal, or null
     * @return this statement, to go on with
     * @throws dev.zelotype.error.MisuseException if values were given before
     */
    public SupposedAct1<A> with(@Nullable A first) {
        statement.with(first);
        return this;
    }

    /**
     * Narrows the pattern to calls whose arguments satisfy a condition.
     *
     * @param condition the condition on the free parameters
     * @return this statement, to go on with
     */
    public SupposedAct1<A> where(Where1<A> condition) {
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
    public SupposedAct1<A> where(String description, Where1<A> condition) {
        statement.where(description, condition);
        return this;
    }

    /**
     * Gives values for the free parameters, for claims that are held against a real object; a stub takes no notice of
     * them. May be said several times.
     *
     * @param first a value of the first free parameter, or null
     * @param more further ones, each an example of its own
     * @return this statement, to go on with
     */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public final SupposedAct1<A> forExample(@Nullable A first, @Nullable A... more) {
        statement.forExample(first);
        for (A each : more) {
            statement.forExample(each);
        }
        return this;
    }
}
