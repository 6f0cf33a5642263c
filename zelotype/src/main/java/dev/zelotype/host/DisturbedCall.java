package dev.zelotype.host;

import dev.zelotype.basics.Zero;
import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.Disturber;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.Passage;
import dev.zelotype.engine.decide.Said;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.Callbacks;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.engine.weave.DroppedAnswer;
import dev.zelotype.error.CheckFailure;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: a call on its way to a double, before anything is known of it. For the calling thread.
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

    /** What the engine asks is put to the host. */
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
        public boolean keeps(Said check, String count, CheckFailure failure) {
            return host.keeps(
                    check.verb().call() + "(" + check.patternText() + "), " + count,
                    ((DoubleState) check.pattern().participant()).name(),
                    check.pattern().method().signature(),
                    check.frame());
        }
    }

    /**
     * The double that is called.
     *
     * @return its name in messages
     */
    public String receiver() {
        return passage.callee().name();
    }

    /**
     * The doubled type.
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
     * What is returned.
     *
     * @return the generic type; {@code void} for nothing
     */
    public Type returnType() {
        return passage.method().executable() instanceof Method method ? method.getGenericReturnType() : void.class;
    }

    /**
     * The arguments as the subject passed them.
     *
     * @return the arguments themselves
     */
    @SuppressWarnings("exports")
    public @Nullable Object[] arguments() {
        return passage.arguments();
    }

    /**
     * Whether an argument is handed over to be called back.
     *
     * @param argument its number, from 0
     * @return true if its parameter's type has one method to write
     */
    public boolean isCallback(int argument) {
        int first = arguments().length - method().getParameterCount();
        return argument >= first && Callbacks.isOne(method().getParameterTypes()[argument - first]);
    }

    /**
     * Something that replaces a callback and reports when it is run.
     *
     * @param argument the callback's number, from 0; {@link #isCallback} tells whether it is one
     * @param text what it says that it is
     * @param told is run each time
     * @param runs whether the callback itself is run then
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
     * The call as it would be written, with the double's name.
     *
     * @return for example {@code log.note("rain")}
     */
    public String text() {
        return Calls.call(passage.callee(), passage.method(), passage.arguments());
    }

    /**
     * A value as messages print it.
     *
     * @param value the value
     * @return one line
     */
    @SuppressWarnings("exports")
    public static String print(@Nullable Object value) {
        return Values.print(value);
    }

    /**
     * Makes an object that no constructor has run for: its fields are null, zero and false.
     *
     * @param type its class
     * @return the object
     * @throws InstantiationException if the class is abstract
     * @throws dev.zelotype.error.MisuseException if this JVM lacks the module that can do it
     */
    public static Object bare(Class<?> type) throws InstantiationException {
        return Allocation.allocate(type);
    }

    /**
     * Where the call was made.
     *
     * @return the nearest frame outside the library; null if there is none
     */
    @SuppressWarnings("exports")
    public @Nullable StackFrame caller() {
        return passage.caller();
    }

    /**
     * Lets the call go on as it came.
     *
     * @return what it answers
     * @throws Throwable what it throws
     */
    @SuppressWarnings("exports")
    public @Nullable Object proceed() throws Throwable {
        return passage.proceed();
    }

    /**
     * Lets the call go on as if it had come with other arguments.
     *
     * @param others the arguments to record, to match and to answer
     * @return what it answers
     * @throws Throwable what it throws
     */
    @SuppressWarnings("exports")
    public @Nullable Object proceed(@Nullable Object[] others) throws Throwable {
        return passage.proceed(others);
    }

    /**
     * Answers as if the call had come, though it is neither recorded nor passed on, and counts for no expectation.
     *
     * @return what it would answer
     * @throws Throwable what it would throw
     */
    @SuppressWarnings("exports")
    public @Nullable Object lose() throws Throwable {
        return passage.lose();
    }

    /**
     * Lets the call come once more: it is recorded, and counts for expectations, but consumes no answer and runs nothing.
     *
     * @throws Throwable if it is one too many
     */
    public void again() throws Throwable {
        passage.again();
    }

    /**
     * Whether the test says exactly how many calls such as the one that went on there are.
     *
     * @return true once it has said so, which is mostly at its end
     */
    public boolean isCountedExactly() {
        return passage.isCountedExactly();
    }

    /**
     * How the call ended that went on.
     *
     * @return the ending; {@link Ending#RUNNING} if none has gone on yet
     */
    public Ending ending() {
        return passage.ending();
    }

    /**
     * Whether the calling code drops the answer, so that a different one could not be noticed.
     *
     * @return false also if the code cannot be read
     */
    public boolean isAnswerDropped() {
        StackFrame caller = passage.caller();
        return caller != null
                && method() instanceof Method method
                && DroppedAnswer.isDropped(caller, passage.callee().doubleClass(), method);
    }
}
