package dev.zelotype.engine.decide;

import dev.zelotype.engine.make.DoubledMethod;
import org.jspecify.annotations.Nullable;

/**
 * A call at the door of a double, before anything is known of it.
 */
public final class Passage {

    private final MethodState state;
    private final Object[] arguments;

    Passage(MethodState state, Object[] arguments) {
        this.state = state;
        this.arguments = arguments;
    }

    /** The double that is called. */
    public DoubleState callee() {
        return state.part().owner();
    }

    public DoubledMethod method() {
        return state.method();
    }

    /** The arguments, as the subject passed them. */
    public Object[] arguments() {
        return arguments;
    }

    /** Lets the call go on as it came. */
    public @Nullable Object proceed() throws Throwable {
        return proceed(arguments);
    }

    /** Lets the call go on as if it had come with other arguments. */
    public @Nullable Object proceed(Object[] others) throws Throwable {
        return Decision.answer(state.part().scene().begin(state, others));
    }
}
