package dev.zelotype.engine.journal;

import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import org.jspecify.annotations.Nullable;

/**
 * One call that a double received. Its call data are fixed before anybody can see it; how it ended is added by the
 * calling thread and seen by others as soon as the call returns.
 */
public final class CallRecord {

    private static final VarHandle ENDING;

    static {
        try {
            ENDING = MethodHandles.lookup().findVarHandle(CallRecord.class, "ending", Ending.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final MethodLog log;
    private final int number;
    private final Object[] arguments;
    private final Thread thread;
    private final @Nullable StackFrame caller;
    private @Nullable Object answer;
    private Ending ending = Ending.RUNNING;
    /** Only ever becomes true, and is asked after the calls in question, so it needs no barrier of its own. */
    private boolean accounted;
    /** The call of the same method before this one; set before the record is published. */
    @Nullable
    CallRecord previous;

    /** How a call came to its answer. */
    public enum Ending {
        /** It has not returned yet. */
        RUNNING,
        /** It was answered by a supposition or an expectation that says what to answer. */
        ANSWERED,
        /** Nobody said what to answer: an empty value came back. */
        DEFAULTED,
        /** The real code answered. */
        REAL,
        /** Something was thrown, as told or by real code. */
        THREW,
        /** It was refused. */
        UNEXPECTED
    }

    CallRecord(MethodLog log, int number, Object[] arguments, @Nullable StackFrame caller) {
        this.log = log;
        this.number = number;
        this.arguments = arguments;
        this.thread = Thread.currentThread();
        this.caller = caller;
    }

    /** Says how the call ended. */
    public void end(Ending how, @Nullable Object answered) {
        this.answer = answered;
        ENDING.setRelease(this, how);
    }

    /** Notes that a statement of the test speaks of this call. */
    public void account() {
        accounted = true;
    }

    public boolean accounted() {
        return accounted;
    }

    public Ending ending() {
        return (Ending) ENDING.getAcquire(this);
    }

    /** The value that came back, or the exception that was thrown. */
    public @Nullable Object answer() {
        return answer;
    }

    public MethodLog log() {
        return log;
    }

    /** The call's place among all calls of its scene, from 1. */
    public int number() {
        return number;
    }

    public Object[] arguments() {
        return arguments;
    }

    public Thread thread() {
        return thread;
    }

    public @Nullable StackFrame caller() {
        return caller;
    }
}
