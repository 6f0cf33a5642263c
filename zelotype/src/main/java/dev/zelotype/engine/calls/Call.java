package dev.zelotype.engine.calls;

import dev.zelotype.conversation.Ending;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One call of a double, from its door to its answer. Its call data are fixed before it is published; how it ended
 * is added by the calling thread and seen by others as soon as the call returns.
 *
 * <p>Calls of the thread that owns the scene, by far the most, are numbered without any lock; a call of another thread
 * remembers after which of them it came. See {@link CallLog}.
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
    /** How many calls of the owning thread there were, this one included. */
    private final int own;
    /** The place among all calls, once they have been put in order. */
    private int rank;

    private final Object[] arguments;
    private @Nullable Object answer;
    /** The place of the ending among all; 0 for one that goes on. Calls are many, so each of their bytes counts. */
    private byte ending;
    /** These only ever become true, and are asked after the calls in question, so they need no barriers of their own. */
    private boolean accounted;

    private boolean expected;
    private boolean countedExactly;
    /** The call of the same method before this one; set before the call is published. */
    @Nullable
    Call previous;

    Call(MethodLog log, int own, Object[] arguments) {
        this.log = log;
        this.own = own;
        this.arguments = arguments;
    }

    /** A call with its place in the code, as the first calls of a scene have it. */
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
         * Sets which outer scenes see it as well; before it is published in its own.
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
     * A call as a scene sees it that stands around the one in which it is made: its place among the calls is that
     * scene's, and what its statements say of it; all else is the same call.
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

    /** A call that is put into words as it happens, of any thread, with its times. */
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
         * Says when it ended, in nanoseconds since the scene opened, and what was returned, in words; null if that can
         * be put into words later.
         */
        public void ended(long nanos, @Nullable String answer) {
            answerText = answer;
            ended = nanos;
        }

        /** Says that its answer has handed a failure over to one of the arguments, now or after the call. */
        public void failsByCallback() {
            failedByCallback = true;
        }

        /** Whether its answer handed a failure over to one of the arguments. */
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

        /** The arguments as they were; null if they are still the same. */
        public @Nullable List<String> argumentTexts() {
            return argumentTexts;
        }

        /** What was returned as it was; null if it is still the same. */
        public @Nullable String answerText() {
            return answerText;
        }
    }

    /** The call in words, if it is put into words as it happens. */
    public @Nullable Worded words() {
        return null;
    }

    /** How much earlier than the scene in which it was made this scene opened, in nanoseconds. */
    public long later() {
        return 0;
    }

    /** The same call as the scenes around the one in which it is made see it, from the inside out. */
    public Call[] echoes() {
        return NO_ECHOES;
    }

    /** The place among the calls of other threads; 0 for one of the owning thread, which comes first. */
    int foreign() {
        return 0;
    }

    /** Whether a log keeps it, so that it can be looked at later. */
    public boolean isKept() {
        return true;
    }

    public Thread thread() {
        return log.ownerThread();
    }

    /** Says how the call ended. */
    public void end(Ending how, @Nullable Object answered) {
        this.answer = answered;
        ENDING.setRelease(this, (byte) how.ordinal());
    }

    /** Notes that a statement of the test is about this call. */
    public void account() {
        accounted = true;
    }

    /** Withdraws what was noted, because the statement turned out to cover other calls. */
    public void giveBack() {
        accounted = false;
        expected = false;
        countedExactly = false;
    }

    /** Notes that the test insists on this call. */
    public void expect() {
        accounted = true;
        expected = true;
    }

    /** Notes that the test says how many such calls there are, and would not have one more. */
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

    /** The value that was returned, the exception that was thrown, or {@link #UNSEEN}. */
    public @Nullable Object answer() {
        return answer;
    }

    public MethodLog log() {
        return log;
    }

    /** Puts the call into its place among all calls of its scene, from 1. */
    public void rank(int place) {
        rank = place;
    }

    /** The call's place among all calls of its scene, from 1, as it was when they were last put in order. */
    public int number() {
        return rank;
    }

    public Object[] arguments() {
        return arguments;
    }

    /** Where it was made; null if that was not noted. */
    public @Nullable StackFrame caller() {
        return null;
    }
}
