package dev.zelotype.host;

import dev.zelotype.basics.Zero;
import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.Disturber;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.Passage;
import dev.zelotype.engine.decide.Stated;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.Callbacks;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.engine.weave.IgnoredAnswers;
import dev.zelotype.error.CheckFailure;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: a call of a double, before it is recorded. For the calling thread.
 *
 * @since 0.2
 */
public final class DisturbedCall {

    private final Passage passage;

    private DisturbedCall(Passage passage) {
        this.passage = passage;
    }

    static void everywhere(@Nullable CallDisturber disturber) {
        SceneState.disturbAll(disturber == null ? null : new Engine(disturber));
    }

    /** Adapts the engine's interface to the host's. */
    private record Engine(CallDisturber host) implements Disturber {

        @Override
        public @Nullable Object disturb(Passage passage) throws Throwable {
            return host.disturb(new DisturbedCall(passage));
        }

        @Override
        public void looks(CallScene scene, boolean last) throws Throwable {
            host.looks(new DisturbedScene(scene), last);
        }

        @Override
        public boolean keeps(Stated check, String count, CheckFailure failure) {
            return host.keeps(
                    check.verb().call() + "(" + check.patternText() + "), " + count,
                    ((DoubleState) check.pattern().participant()).name(),
                    check.pattern().method().signature(),
                    check.frame());
        }
    }

    /**
     * The called double.
     *
     * @return its name in messages
     */
    public String receiver() {
        return passage.callee().name();
    }

    /**
     * Returns the doubled type.
     *
     * @return its binary name
     */
    public String type() {
        return passage.callee().doubleClass().doubledType().getName();
    }

    /**
     * The method that is called.
     *
     * @return the method with the simple names of its parameter types
     */
    public String signature() {
        return passage.method().signature();
    }

    /**
     * The method that is called.
     *
     * @return the method, or the constructor of a replaced class
     */
    public Executable method() {
        return passage.method().executable();
    }

    /**
     * Returns the return type.
     *
     * @return the generic type; {@code void} for nothing
     */
    public Type returnType() {
        return passage.method().isConstructor() ? void.class : passage.method().genericReturnType();
    }

    /**
     * Returns the arguments of the subject's call.
     *
     * @return the arguments themselves
     */
    @SuppressWarnings("exports")
    public @Nullable Object[] arguments() {
        return passage.arguments();
    }

    /**
     * Tells whether an argument is a callback.
     *
     * @param argument its number, from 0
     * @return true if its parameter's type has exactly one abstract method
     */
    public boolean isCallback(int argument) {
        int first = arguments().length - method().getParameterCount();
        return argument >= first && Callbacks.isOne(method().getParameterTypes()[argument - first]);
    }

    /**
     * Replaces a callback by one that reports when it is run.
     *
     * @param argument the callback's index, from 0; {@link #isCallback} tells whether it is one
     * @param text its text
     * @param told is run each time
     * @param runs whether to run the callback itself as well
     * @return an object of the parameter's type, to be passed on instead
     */
    @SuppressWarnings("exports")
    public Object watched(int argument, String text, Runnable told, boolean runs) {
        Object callback = arguments()[argument];
        Class<?> type = method().getParameterTypes()[argument - arguments().length + method().getParameterCount()];
        return Callbacks.standingFor(type, callback, text, (called, passed) -> {
            told.run();
            return runs ? Callbacks.run(callback, called, passed) : Zero.of(called.getReturnType());
        });
    }

    /**
     * Returns the call as source, with the double's name.
     *
     * @return for example {@code log.note("rain")}
     */
    public String text() {
        return Calls.call(passage.callee(), passage.method(), passage.arguments());
    }

    /**
     * Returns a value as messages print it.
     *
     * @param value the value
     * @return one line
     */
    @SuppressWarnings("exports")
    public static String print(@Nullable Object value) {
        return Values.print(value);
    }

    /**
     * Makes an object without running a constructor: its fields are null, zero and false.
     *
     * @param type its class
     * @return the object
     * @throws InstantiationException if the class is abstract
     * @throws dev.zelotype.error.MisuseException if this JVM lacks the required module
     */
    public static Object bare(Class<?> type) throws InstantiationException {
        return Allocation.allocate(type);
    }

    /**
     * Returns where the call was made.
     *
     * @return the nearest frame outside the library; null if there is none
     */
    @SuppressWarnings("exports")
    public @Nullable StackFrame caller() {
        return passage.caller();
    }

    /**
     * Continues the call unchanged.
     *
     * @return the answer
     * @throws Throwable the exception of the call
     */
    @SuppressWarnings("exports")
    public @Nullable Object proceed() throws Throwable {
        return passage.proceed();
    }

    /**
     * Continues the call with other arguments.
     *
     * @param others the arguments to record, to match and to use for the answer
     * @return the answer
     * @throws Throwable the exception of the call
     */
    @SuppressWarnings("exports")
    public @Nullable Object proceed(@Nullable Object[] others) throws Throwable {
        return passage.proceed(others);
    }

    /**
     * Answers the call, but neither records nor passes it on; it counts for no expectation.
     *
     * @return the answer
     * @throws Throwable the failure
     */
    @SuppressWarnings("exports")
    public @Nullable Object lose() throws Throwable {
        return passage.lose();
    }

    /**
     * Repeats the call: it is recorded and counts for expectations, but uses up no answer and runs nothing.
     *
     * @throws Throwable if it is one too many
     */
    public void again() throws Throwable {
        passage.again();
    }

    /**
     * Whether the test states the exact number of such calls.
     *
     * @return true if it has stated the number so far; usually it does so at its end
     */
    public boolean isCountedExactly() {
        return passage.isCountedExactly();
    }

    /**
     * Returns how the continued call ended.
     *
     * @return the ending; {@link Ending#RUNNING} if none has been continued yet
     */
    public Ending ending() {
        return passage.ending();
    }

    /**
     * Tells whether the calling code ignores the answer, so that another one could not be noticed.
     *
     * @return false also if the code cannot be read
     */
    public boolean isAnswerDropped() {
        StackFrame caller = passage.caller();
        return caller != null
                && method() instanceof Method method
                && IgnoredAnswers.isDropped(caller, passage.callee().doubleClass(), method);
    }
}
