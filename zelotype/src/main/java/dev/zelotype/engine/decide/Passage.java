package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.make.DoubledMethod;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A call of a double, before it is recorded.
 */
public final class Passage {

    private final MethodState state;
    private final Object[] arguments;
    private @Nullable Call call;

    Passage(MethodState state, Object[] arguments) {
        this.state = state;
        this.arguments = arguments;
    }

    /** The called double. */
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

    /** Continues the call unchanged. */
    public @Nullable Object proceed() throws Throwable {
        return proceed(arguments);
    }

    /** Continues the call with other arguments. */
    public @Nullable Object proceed(Object[] others) throws Throwable {
        Call begun = state.part().scene().begin(state, others);
        call = begun;
        return Decision.answer(begun);
    }

    /**
     * Answers the call without a trace: it is neither recorded nor counted for any expectation nor passed on, and uses
     * up no answer.
     */
    public @Nullable Object lose() throws Throwable {
        return Decision.answerOnly(state.part().scene().leaveOut(state, arguments));
    }

    /**
     * Repeats the call: it is recorded and counts for expectations, but uses up no answer and runs nothing.
     *
     * @throws dev.zelotype.error.UnexpectedCall if it is one too many
     */
    public void again() throws Throwable {
        Decision.recordOnly(state.part().scene().begin(state, arguments));
    }

    /** Whether the test states the exact number of such calls. */
    public boolean isCountedExactly() {
        return call != null && call.countedExactly();
    }

    /** How the continued call ended; {@link Ending#RUNNING} if none was continued. */
    public Ending ending() {
        return call == null ? Ending.RUNNING : call.ending();
    }

    /** Returns where the call was made. */
    public @Nullable StackFrame caller() {
        return Lines.caller(state.isWovenItself());
    }
}
