package dev.zelotype.engine.calls;

import dev.zelotype.conversation.Ending;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Keeps the calls of one scene in order. Safe for use from any thread.
 *
 * <p>Calls of the thread that made the log are simply counted. A call of another thread records this count, and its own
 * position among the calls of all other threads. So a call that happened before another one, by any synchronization
 * between threads, also precedes it in {@link Call#IN_ORDER}.
 */
public final class CallLog {

    private static final VarHandle OWN;

    static {
        try {
            OWN = MethodHandles.lookup().findVarHandle(CallLog.class, "own", int.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Thread owner = Thread.currentThread();
    private final AtomicInteger foreign = new AtomicInteger();
    private final int linesKept;
    private final long opened = System.nanoTime();
    private int own;

    /**
     * Starts a log owned by the current thread.
     *
     * @param linesKept for how many calls to record where they were made, which costs far more than the call itself
     */
    public CallLog(int linesKept) {
        this.linesKept = linesKept;
    }

    public Thread owner() {
        return owner;
    }

    /** Nanoseconds since the log was started. */
    public long now() {
        return System.nanoTime() - opened;
    }

    /**
     * A call that is not kept, because it belongs to no scene: its scene is closed, or it only helps to print
     * something.
     */
    public Call leaveOut(MethodLog log, Object[] arguments) {
        return new Call.Unkept(log, arguments, false);
    }

    /** Links the code that ends a call, so that it works when the stack is exhausted. */
    public static void load() {
        Call call = new Call(null, 0, new Object[0]);
        call.end(Ending.RUNNING, null);
        call.ending();
    }

    /**
     * Keeps a call, or only counts it if its method keeps counts only.
     *
     * @param woven whether the called method itself is on the stack
     * @param worded whether to keep its times, and texts of values that may change
     * @param words the current text of the arguments; null if it can be computed later
     */
    public Call add(MethodLog log, Object[] arguments, boolean woven, boolean worded, @Nullable List<String> words) {
        if (log.counted()) {
            return new Call.Unkept(log, arguments, true);
        }
        if (Thread.currentThread() == owner) {
            int number = own + 1;
            OWN.setRelease(this, number);
            StackFrame line = line(number, woven);
            Call call = worded
                    ? new Call.Worded(words, now(), log, number, 0, arguments, line)
                    : line == null ? new Call(log, number, arguments) : new Call.Placed(log, number, arguments, line);
            log.addOwn(call);
            return call;
        }
        int before = (int) OWN.getAcquire(this);
        int number = foreign.incrementAndGet();
        StackFrame line = line(before + number, woven);
        Call call = worded
                ? new Call.Worded(words, now(), log, before, number, arguments, line)
                : new Call.OfOtherThread(log, before, number, arguments, line);
        log.addForeign(call);
        return call;
    }

    /**
     * Keeps a call that enclosing scenes see as well.
     *
     * @param around their logs, from the inside out, each with the method's log there
     * @see #add(MethodLog, Object[], boolean, boolean, List)
     */
    public Call addEchoed(
            MethodLog log,
            Object[] arguments,
            boolean woven,
            boolean worded,
            @Nullable List<String> words,
            List<CallLog> around,
            List<? extends MethodLog> logsThere) {
        boolean counts = log.counted();
        boolean isOwn = Thread.currentThread() == owner;
        int before = isOwn ? own + 1 : (int) OWN.getAcquire(this);
        int number = isOwn ? 0 : foreign.incrementAndGet();
        if (isOwn) {
            OWN.setRelease(this, before);
        }
        StackFrame line = line(before + number, woven);
        Call.OfOtherThread call = worded
                ? new Call.Worded(words, now(), log, before, number, arguments, line)
                : new Call.OfOtherThread(log, before, number, arguments, line);
        List<Call> echoes = new ArrayList<>();
        for (int i = 0; i < around.size(); i++) {
            if (!logsThere.get(i).counted()) {
                echoes.add(
                        around.get(i).echo(call, logsThere.get(i), around.get(i).now() - now()));
            }
        }
        call.echoedBy(echoes.toArray(new Call[0]), counts);
        if (counts) {
            return call;
        }
        if (isOwn) {
            log.addOwn(call);
        } else {
            log.addForeign(call);
        }
        return call;
    }

    private Call echo(Call original, MethodLog log, long later) {
        if (Thread.currentThread() == owner) {
            int number = own + 1;
            OWN.setRelease(this, number);
            Call echo = new Call.Echo(original, log, number, 0, later);
            log.addOwn(echo);
            return echo;
        }
        Call echo = new Call.Echo(original, log, (int) OWN.getAcquire(this), foreign.incrementAndGet(), later);
        log.addForeign(echo);
        return echo;
    }

    private @Nullable StackFrame line(int number, boolean woven) {
        return number <= linesKept ? Lines.caller(woven) : null;
    }
}
