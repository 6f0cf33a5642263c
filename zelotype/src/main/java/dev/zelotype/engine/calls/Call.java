package dev.zelotype.engine.calls;

import dev.zelotype.conversation.Ending;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One call of a double, from its start to its answer. The data of the call are fixed before it is published; its ending
 * is added by the calling thread, and visible to others as soon as the call returns.
 *
 * <p>Calls of the thread that owns the scene, which are most, are numbered without a lock; a call of another thread
 * records which of them it followed. See {@link CallLog}.
 */
public class Call {

    /** The order in which calls of one scene happened. */
    public static final Comparator<Call> IN_ORDER = new Comparator<>() {
        @Override
        public int compare(Call a, Call b) {
            return a.own != b.own ? Integer.compare(a.own, b.own) : Integer.compare(a.foreign(), b.foreign());
        }
    };

    /** The unknown answer of real code. */
    public static final Object UNSEEN = new Object();

    private static final Call[] NO_ECHOES = {};

    private static final VarHandle ENDING;
    private static final Ending[] ENDINGS = Ending.values();

    static {
        try {
            ENDING = MethodHandles.lookup().findVarHandle(Call.class, "ending", byte.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    /** Null only for a call that was never made ({@link CallLog#load()}). */
    private final MethodLog log;
    /** The number of calls of the owning thread, including this one. */
    private final int own;
    /** Its position among all calls, once they have been sorted. */
    private int rank;

    private final Object[] arguments;
    private @Nullable Object answer;
    /** The position of its ending; 0 while it is running. Calls are many, so each of their bytes counts. */
    private byte ending;
    /** These only change to true, and are read after the calls in question, so they need no barriers. */
    private boolean accounted;

    private boolean expected;
    private boolean countedExactly;
    /** The previous call of the same method; set before the call is published. */
    @Nullable
    Call previous;

    Call(MethodLog log, int own, Object[] arguments) {
        this.log = log;
        this.own = own;
        this.arguments = arguments;
    }

    /** A call with its place in the code, as recorded for the first calls of a scene. */
    static final class Placed extends Call {

        private final StackFrame caller;

        Placed(MethodLog log, int own, Object[] arguments, StackFrame caller) {
            super(log, own, arguments);
            this.caller = caller;
        }

        @Override
        public StackFrame caller() {
            return caller;
        }
    }

    /** A call that no log keeps: it is only counted, or belongs to no scene. */
    static final class Unkept extends Call {

        private final boolean counted;

        Unkept(MethodLog log, Object[] arguments, boolean counted) {
            super(log, 0, arguments);
            this.counted = counted;
        }

        @Override
        public boolean isKept() {
            return false;
        }

        @Override
        public void account() {
            if (counted) {
                log().accountCounted();
            }
        }
    }

    /** A call of a thread that does not own the scene. */
    static class OfOtherThread extends Call {

        private Call[] echoes = NO_ECHOES;
        private boolean onlyCounted;
        private final int foreign;
        private final Thread thread;
        private final @Nullable StackFrame caller;

        OfOtherThread(MethodLog log, int own, int foreign, Object[] arguments, @Nullable StackFrame caller) {
            super(log, own, arguments);
            this.foreign = foreign;
            this.caller = caller;
            this.thread = Thread.currentThread();
        }

        @Override
        public @Nullable StackFrame caller() {
            return caller;
        }

        @Override
        public Call[] echoes() {
            return echoes;
        }

        /**
         * Sets which outer scenes see it as well; called before it is published.
         *
         * @param counted whether its own log only counts it
         */
        void echoedBy(Call[] echoed, boolean counted) {
            echoes = echoed;
            onlyCounted = counted;
        }

        @Override
        public boolean isKept() {
            return !onlyCounted;
        }

        @Override
        public void account() {
            super.account();
            if (onlyCounted) {
                log().accountCounted();
            }
        }

        @Override
        int foreign() {
            return foreign;
        }

        @Override
        public Thread thread() {
            return thread;
        }
    }

    /**
     * The same call from the view of an enclosing scene, with its position among the calls of that scene, and the
     * verdict of that scene's statements.
     */
    static final class Echo extends OfOtherThread {

        private final Call original;
        private final long later;

        Echo(Call original, MethodLog log, int own, int foreign, long later) {
            super(log, own, foreign, original.arguments(), original.caller());
            this.original = original;
            this.later = later;
        }

        @Override
        public void end(Ending how, @Nullable Object answered) {
            original.end(how, answered);
        }

        @Override
        public Ending ending() {
            return original.ending();
        }

        @Override
        public @Nullable Object answer() {
            return original.answer();
        }

        @Override
        public @Nullable Worded words() {
            return original.words();
        }

        @Override
        public long later() {
            return later;
        }
    }

    /** A call of any thread that is converted to text immediately, with its times. */
    public static final class Worded extends OfOtherThread {

        private final long began;
        private final @Nullable List<String> argumentTexts;
        private @Nullable String answerText;
        private volatile boolean failedByCallback;
        private volatile long ended = -1;

        Worded(
                @Nullable List<String> argumentTexts,
                long began,
                MethodLog log,
                int own,
                int foreign,
                Object[] arguments,
                @Nullable StackFrame caller) {
            super(log, own, foreign, arguments, caller);
            this.began = began;
            this.argumentTexts = argumentTexts;
        }

        /**
         * Sets when it ended, in nanoseconds since the scene opened, and the text of the answer; null if that can be
         * computed later.
         */
        public void ended(long nanos, @Nullable String answer) {
            answerText = answer;
            ended = nanos;
        }

        /** Records that its answer has passed a failure to one of the arguments, now or after the call. */
        public void failsByCallback() {
            failedByCallback = true;
        }

        /** Whether its answer passed a failure to one of the arguments. */
        public boolean hasFailedByCallback() {
            return failedByCallback;
        }

        @Override
        public Worded words() {
            return this;
        }

        /** When the call began, in nanoseconds since the scene opened. */
        public long began() {
            return began;
        }

        /** How long it took, in nanoseconds; -1 if it has not ended. */
        public long took() {
            return ended < 0 ? -1 : ended - began;
        }

        /** The arguments at the time of the call; null if they have not changed. */
        public @Nullable List<String> argumentTexts() {
            return argumentTexts;
        }

        /** The answer at the time of the call; null if it has not changed. */
        public @Nullable String answerText() {
            return answerText;
        }
    }

    /** The text of the call, if it was computed immediately. */
    public @Nullable Worded words() {
        return null;
    }

    /** How much earlier this scene opened than the scene of the call, in nanoseconds. */
    public long later() {
        return 0;
    }

    /** The views of enclosing scenes on this call, from the inside out. */
    public Call[] echoes() {
        return NO_ECHOES;
    }

    /** Its position among the calls of other threads; 0 for a call of the owning thread. */
    int foreign() {
        return 0;
    }

    /** Whether a log keeps it, so that it can be examined later. */
    public boolean isKept() {
        return true;
    }

    public Thread thread() {
        return log.ownerThread();
    }

    /** Sets how the call ended. */
    public void end(Ending how, @Nullable Object answered) {
        this.answer = answered;
        ENDING.setRelease(this, (byte) how.ordinal());
    }

    /** Records that a statement of the test covers this call. */
    public void account() {
        accounted = true;
    }

    /** Reverts this, because the statement turned out to cover other calls. */
    public void giveBack() {
        accounted = false;
        expected = false;
        countedExactly = false;
    }

    /** Records that the test requires this call. */
    public void expect() {
        accounted = true;
        expected = true;
    }

    /** Records that the test states the exact number of such calls. */
    public void countExactly() {
        countedExactly = true;
    }

    public boolean countedExactly() {
        return countedExactly;
    }

    public boolean expected() {
        return expected;
    }

    public boolean accounted() {
        return accounted;
    }

    public Ending ending() {
        return ENDINGS[(byte) ENDING.getAcquire(this)];
    }

    /** The returned value, the thrown exception, or {@link #UNSEEN}. */
    public @Nullable Object answer() {
        return answer;
    }

    public MethodLog log() {
        return log;
    }

    /** Sets the position of the call among all calls of its scene, from 1. */
    public void rank(int place) {
        rank = place;
    }

    /** The position of the call among all calls of its scene, from 1, as of the last sorting. */
    public int number() {
        return rank;
    }

    public Object[] arguments() {
        return arguments;
    }

    /** Where it was made; null if that was not recorded. */
    public @Nullable StackFrame caller() {
        return null;
    }
}
