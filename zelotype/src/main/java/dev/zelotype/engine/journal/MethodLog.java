package dev.zelotype.engine.journal;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.LongAdder;
import org.jspecify.annotations.Nullable;

/**
 * The calls of one method of one double, newest first, without a lock: a call is linked in by one compare-and-set.
 */
public final class MethodLog {

    private static final VarHandle NEWEST;

    static {
        try {
            NEWEST = MethodHandles.lookup().findVarHandle(MethodLog.class, "newest", CallRecord.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Participant owner;
    private final DoubledMethod method;
    private volatile @Nullable CallRecord newest;
    private volatile @Nullable LongAdder countOnly;

    public MethodLog(Participant owner, DoubledMethod method) {
        this.owner = owner;
        this.method = method;
    }

    void add(CallRecord call) {
        CallRecord before;
        do {
            before = newest;
            call.previous = before;
        } while (!NEWEST.compareAndSet(this, before, call));
    }

    /** From now on keeps only the number of calls. */
    public void keepOnlyCount() {
        if (countOnly == null) {
            countOnly = new LongAdder();
        }
    }

    /** Counts a call if only counts are kept. */
    boolean counted() {
        LongAdder counter = countOnly;
        if (counter == null) {
            return false;
        }
        counter.increment();
        return true;
    }

    public boolean keepsOnlyCount() {
        return countOnly != null;
    }

    /** The number of calls that were counted but not kept. */
    public long countedOnly() {
        LongAdder counter = countOnly;
        return counter == null ? 0 : counter.sum();
    }

    public void forget() {
        newest = null;
        LongAdder counter = countOnly;
        if (counter != null) {
            counter.reset();
        }
    }

    /** The calls so far, oldest first. */
    public List<CallRecord> calls() {
        List<CallRecord> calls = new ArrayList<>();
        for (CallRecord call = newest; call != null; call = call.previous) {
            calls.add(call);
        }
        Collections.reverse(calls);
        // Two threads may link their calls in another order than they were numbered.
        calls.sort((a, b) -> Integer.compare(a.number(), b.number()));
        return calls;
    }

    public @Nullable CallRecord newest() {
        return newest;
    }

    public static @Nullable CallRecord before(CallRecord call) {
        return call.previous;
    }

    public Participant owner() {
        return owner;
    }

    public DoubledMethod method() {
        return method;
    }
}
