package dev.zelotype.engine.run;

import java.time.Duration;
import java.util.function.LongSupplier;

/**
 * Waits for calls that other threads make.
 */
final class Waiting {

    private static final long LONGEST_PAUSE_MILLIS = 10;

    private Waiting() {}

    /** Waits until a count holds for good or can hold no more, at most for some time; gives the last number seen. */
    static long until(Duration patience, LongSupplier calls, Count wanted) {
        long deadline = System.nanoTime() + patience.toNanos();
        boolean mustWaitOut = wanted.min() == 0;
        long pause = 1;
        while (true) {
            long found = calls.getAsLong();
            boolean over = System.nanoTime() - deadline >= 0;
            if (over || found > wanted.max() || !mustWaitOut && wanted.holds(found)) {
                return found;
            }
            try {
                Thread.sleep(pause);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return calls.getAsLong();
            }
            pause = Math.min(LONGEST_PAUSE_MILLIS, pause * 2);
        }
    }
}
