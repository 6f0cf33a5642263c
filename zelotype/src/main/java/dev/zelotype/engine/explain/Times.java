package dev.zelotype.engine.explain;

import java.time.Duration;

/**
 * Durations in words.
 */
public final class Times {

    /** About the longest time that the clock can measure. */
    private static final Duration LONGEST = Duration.ofNanos(Long.MAX_VALUE / 2);

    private Times() {}

    /** A duration for people, for example {@code 2 s}. */
    public static String text(Duration duration) {
        if (duration.compareTo(LONGEST) > 0 || duration.toMillis() == 0) {
            return duration.toString();
        }
        long millis = duration.toMillis();
        return millis % 1000 == 0 ? millis / 1000 + " s" : millis + " ms";
    }
}
