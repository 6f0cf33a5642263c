package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.make.DoubledMethod;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A call at the door of a double, before anything is known of it.
 */
public final class Passage {

    private final MethodState state;
    private final Object[] arguments;
    private @Nullable Call call;

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
        Call begun = state.part().scene().begin(state, others);
        call = begun;
        return Decision.answer(begun);
    }

    /**
     * Answers as if the call had come, but leaves no trace: it is neither recorded, nor counted for any
     * expectation, nor passed on, and consumes no answer.
     */
    public @Nullable Object lose() throws Throwable {
        return Decision.answerOnly(state.part().scene().leaveOut(state, arguments));
    }

    /**
     * Lets the call come once more: it is recorded, and counts for expectations, but consumes no answer and runs nothing.
     *
     * @throws dev.zelotype.error.UnexpectedCall if it is one too many
     */
    public void again() throws Throwable {
        Decision.recordOnly(state.part().scene().begin(state, arguments));
    }

    /** Whether the test says exactly how many calls such as the one that went on there are. */
    public boolean isCountedExactly() {
        return call != null && call.countedExactly();
    }

    /** How the call ended that went on; {@link Ending#RUNNING} if none did. */
    public Ending ending() {
        return call == null ? Ending.RUNNING : call.ending();
    }

    /** Where the call was made. */
    public @Nullable StackFrame caller() {
        return Lines.caller(state.asksItself());
    }
}
