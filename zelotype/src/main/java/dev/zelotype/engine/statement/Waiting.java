package dev.zelotype.engine.statement;

import dev.zelotype.engine.decide.facts.Count;
import java.time.Duration;
import java.util.function.LongSupplier;

/**
 * Waits for calls that other threads make, until a count holds for good or can hold no more.
 */
final class Waiting {

    private static final long LONGEST_PAUSE_MILLIS = 10;
    /** About the longest time that the clock can measure. */
    private static final Duration LONGEST = Duration.ofNanos(Long.MAX_VALUE / 2);

    private final Duration patience;
    private final Count wanted;
    private boolean interrupted;

    Waiting(Duration patience, Count wanted) {
        this.patience = patience;
        this.wanted = wanted;
    }

    /** Waits, at most as long as the patience lasts; gives the last number seen. */
    long until(LongSupplier calls) {
        long nanos = patience.compareTo(LONGEST) > 0 ? LONGEST.toNanos() : patience.toNanos();
        long began = System.nanoTime();
        boolean mustWaitOut = wanted.min() == 0;
        long pause = 1;
        while (true) {
            long found = calls.getAsLong();
            boolean over = System.nanoTime() - began >= nanos;
            if (over || found > wanted.max() || !mustWaitOut && wanted.holds(found)) {
                return found;
            }
            try {
                Thread.sleep(pause);
            } catch (InterruptedException e) {
                interrupted = true;
                Thread.currentThread().interrupt();
                return calls.getAsLong();
            }
            pause = Math.min(LONGEST_PAUSE_MILLIS, pause * 2);
        }
    }

    /** Whether the waiting ended before its time, so that nothing is known of the rest. */
    boolean wasInterrupted() {
        return interrupted;
    }
}
