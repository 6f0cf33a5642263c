package dev.zelotype.engine.journal;

import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Numbers the calls of one scene. Safe for use from any thread.
 */
public final class Journal {

    private final AtomicInteger calls = new AtomicInteger();
    private final int linesKept;

    /**
     * Starts a journal.
     *
     * @param linesKept for how many calls to note where they were made, which costs far more than the call itself
     */
    public Journal(int linesKept) {
        this.linesKept = linesKept;
    }

    /** Keeps a call; null if only its number is kept. */
    public @Nullable CallRecord add(MethodLog log, Object[] arguments, boolean woven) {
        if (log.counted()) {
            return null;
        }
        int number = calls.incrementAndGet();
        CallRecord call = new CallRecord(log, number, arguments, number <= linesKept ? Lines.caller(woven) : null);
        log.add(call);
        return call;
    }

    public int size() {
        return calls.get();
    }
}
