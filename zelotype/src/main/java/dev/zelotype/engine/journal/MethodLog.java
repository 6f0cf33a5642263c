package dev.zelotype.engine.journal;

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
 * The calls of one method of one double, newest first, without a lock: those of the thread that owns the scene in one
 * chain, which nobody else writes, and those of all other threads in another, where a call is linked in by one
 * compare-and-set.
 */
public final class MethodLog {

    private static final VarHandle OWN;
    private static final VarHandle FOREIGN;

    static {
        try {
            OWN = MethodHandles.lookup().findVarHandle(MethodLog.class, "own", CallRecord.class);
            FOREIGN = MethodHandles.lookup().findVarHandle(MethodLog.class, "foreign", CallRecord.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Participant owner;
    private final Object keeper;
    private final DoubledMethod method;
    private final Thread ownerThread;
    private @Nullable CallRecord own;
    private volatile @Nullable CallRecord foreign;
    private volatile @Nullable LongAdder countOnly;
    /** Of how many of the calls that are only counted a statement of the test speaks. */
    private final AtomicLong accountedCounted = new AtomicLong();

    /**
     * Starts a log.
     *
     * @param owner the double
     * @param keeper what keeps the log
     * @param ownerThread the thread that owns the scene
     */
    public MethodLog(Participant owner, Object keeper, DoubledMethod method, Thread ownerThread) {
        this.owner = owner;
        this.keeper = keeper;
        this.method = method;
        this.ownerThread = ownerThread;
    }

    /** Adds a call of the owning thread, on that thread. */
    void addOwn(CallRecord call) {
        call.previous = own;
        OWN.setRelease(this, call);
    }

    void addForeign(CallRecord call) {
        CallRecord before;
        do {
            before = foreign;
            call.previous = before;
        } while (!FOREIGN.compareAndSet(this, before, call));
    }

    Thread ownerThread() {
        return ownerThread;
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

    /** Notes that a statement speaks of so many of the calls that were only counted. */
    public void accountCounted(long calls) {
        if (countOnly != null) {
            accountedCounted.addAndGet(calls);
        }
    }

    /** Of how many calls that were only counted no statement speaks. */
    public long unaccountedCounted() {
        return Math.max(0, countedOnly() - accountedCounted.get());
    }

    public void forget() {
        accountedCounted.set(0);
        OWN.setRelease(this, null);
        foreign = null;
        LongAdder counter = countOnly;
        if (counter != null) {
            counter.reset();
        }
    }

    /** Looks at each call so far, in no particular order. */
    public void each(Consumer<CallRecord> look) {
        for (CallRecord call = (CallRecord) OWN.getAcquire(this); call != null; call = call.previous) {
            look.accept(call);
        }
        for (CallRecord call = foreign; call != null; call = call.previous) {
            look.accept(call);
        }
    }

    /** The calls so far, oldest first. */
    public List<CallRecord> calls() {
        List<CallRecord> calls = new ArrayList<>();
        each(calls::add);
        calls.sort(CallRecord.IN_ORDER);
        return calls;
    }

    public Participant owner() {
        return owner;
    }

    /** What keeps this log, for whoever made it. */
    public Object keeper() {
        return keeper;
    }

    public DoubledMethod method() {
        return method;
    }
}
