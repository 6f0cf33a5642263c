package dev.zelotype.engine.calls;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * The calls of one method of one double, newest first, without a lock. Those of the thread that owns the scene are in
 * one list, which only it writes. Those of all other threads are in another list, where a call is added by a
 * compare-and-set.
 */
public class MethodLog {

    private static final VarHandle OWN;
    private static final VarHandle FOREIGN;

    static {
        try {
            OWN = MethodHandles.lookup().findVarHandle(MethodLog.class, "own", Call.class);
            FOREIGN = MethodHandles.lookup().findVarHandle(MethodLog.class, "foreign", Call.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Participant owner;
    private final DoubledMethod method;
    private final Thread ownerThread;
    private @Nullable Call own;
    private volatile @Nullable Call foreign;
    private volatile @Nullable Counts countOnly;

    /** The number of calls, and how many of them statements of the test cover. */
    private static final class Counts {
        private final LongAdder calls = new LongAdder();
        private final AtomicLong accounted = new AtomicLong();
    }

    /**
     * Starts a log.
     *
     * @param owner the double
     * @param ownerThread the thread that owns the scene
     */
    public MethodLog(Participant owner, DoubledMethod method, Thread ownerThread) {
        this.owner = owner;
        this.method = method;
        this.ownerThread = ownerThread;
    }

    /** Adds a call of the owning thread, on that thread. */
    final void addOwn(Call call) {
        call.previous = own;
        OWN.setRelease(this, call);
    }

    final void addForeign(Call call) {
        Call before;
        do {
            before = foreign;
            call.previous = before;
        } while (!FOREIGN.compareAndSet(this, before, call));
    }

    final Thread ownerThread() {
        return ownerThread;
    }

    /** From now on keeps only the number of calls. */
    public final void keepOnlyCount() {
        if (countOnly == null) {
            countOnly = new Counts();
        }
    }

    /** Counts a call if only counts are kept. */
    final boolean counted() {
        Counts counts = countOnly;
        if (counts == null) {
            return false;
        }
        counts.calls.increment();
        return true;
    }

    public final boolean keepsOnlyCount() {
        return countOnly != null;
    }

    /** The number of calls that were counted but not kept. */
    public final long countedOnly() {
        Counts counts = countOnly;
        return counts == null ? 0 : counts.calls.sum();
    }

    /** Records that a statement covers the call that was just counted. */
    public final void accountCounted() {
        Counts counts = countOnly;
        if (counts != null) {
            counts.accounted.incrementAndGet();
        }
    }

    /** Records that a statement covers all calls counted so far. */
    public final void accountAllCounted() {
        Counts counts = countOnly;
        if (counts != null) {
            counts.accounted.accumulateAndGet(counts.calls.sum(), Math::max);
        }
    }

    /** How many of the calls that were only counted are not covered by a statement. */
    public final long unaccountedCounted() {
        Counts counts = countOnly;
        return counts == null ? 0 : Math.max(0, counts.calls.sum() - counts.accounted.get());
    }

    public final void forget() {
        OWN.setRelease(this, null);
        foreign = null;
        if (countOnly != null) {
            countOnly = new Counts();
        }
    }

    /** Visits each call so far, in no particular order. */
    public final void each(Consumer<Call> look) {
        for (Call call = (Call) OWN.getAcquire(this); call != null; call = call.previous) {
            look.accept(call);
        }
        for (Call call = foreign; call != null; call = call.previous) {
            look.accept(call);
        }
    }

    /** The calls so far, oldest first. */
    public final List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        each(calls::add);
        calls.sort(Call.IN_ORDER);
        return calls;
    }

    public final Participant owner() {
        return owner;
    }

    public final DoubledMethod method() {
        return method;
    }
}
