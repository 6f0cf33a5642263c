package dev.zelotype.engine.journal;

import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Keeps the calls of one scene in order. Safe for use from any thread.
 *
 * <p>Calls of the thread that made the journal are simply counted. A call of another thread notes how many of those there
 * were, and its own place among the calls of all other threads. So whatever happened before something else, by any
 * means by which one thread can know of another, also comes before it in {@link CallRecord#IN_ORDER}.
 */
public final class Journal {

    private static final VarHandle OWN;

    static {
        try {
            OWN = MethodHandles.lookup().findVarHandle(Journal.class, "own", int.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Thread owner = Thread.currentThread();
    private final AtomicInteger foreign = new AtomicInteger();
    private final int linesKept;
    private final @Nullable Witness witness;
    private final long opened = System.nanoTime();
    private int own;

    /**
     * Starts a journal that the current thread owns.
     *
     * @param linesKept for how many calls to note where they were made, which costs far more than the call itself
     * @param witness puts calls into words as they happen; null to keep only what was passed
     */
    public Journal(int linesKept, @Nullable Witness witness) {
        this.linesKept = linesKept;
        this.witness = witness;
    }

    public Thread owner() {
        return owner;
    }

    /**
     * Keeps a call; null if only its number is kept.
     *
     * @param woven whether the called method itself stands on the stack
     */
    public @Nullable CallRecord add(MethodLog log, Object[] arguments, boolean woven) {
        if (log.counted()) {
            return null;
        }
        if (Thread.currentThread() == owner) {
            int number = own + 1;
            OWN.setRelease(this, number);
            CallRecord call = witness == null
                    ? new CallRecord(log, number, arguments, line(number, woven))
                    : detailed(witness, log, number, 0, arguments, line(number, woven));
            log.addOwn(call);
            return call;
        }
        int before = (int) OWN.getAcquire(this);
        int number = foreign.incrementAndGet();
        StackFrame line = line(before + number, woven);
        CallRecord call = witness == null
                ? new CallRecord.OfOtherThread(log, before, number, arguments, line)
                : detailed(witness, log, before, number, arguments, line);
        log.addForeign(call);
        return call;
    }

    private CallRecord detailed(
            Witness witness, MethodLog log, int before, int foreign, Object[] arguments, @Nullable StackFrame line) {
        return new CallRecord.Detailed(witness, System.nanoTime() - opened, log, before, foreign, arguments, line);
    }

    private @Nullable StackFrame line(int number, boolean woven) {
        return number <= linesKept ? Lines.caller(woven) : null;
    }
}
