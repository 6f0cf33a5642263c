package dev.zelotype.engine.statement;

import dev.zelotype.engine.decide.facts.Count;
import java.time.Duration;
import java.util.function.LongSupplier;

/**
 * Waits for calls of other threads, until a count is met for good or can no longer be met.
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

    /** Waits, at most until the timeout; returns the last number of calls. */
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

    /** Whether the wait was interrupted, so that later calls are unknown. */
    boolean wasInterrupted() {
        return interrupted;
    }
}
