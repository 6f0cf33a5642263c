package dev.zelotype.examples.observatory;

/**
 * The time by the stars, for everybody to read.
 */
public final class SiderealClock {

    private SiderealClock() {}

    /** Seconds since the stars last stood like this. */
    public static long now() {
        return System.currentTimeMillis() / 1000 * 366 / 365 % 86_400;
    }
}
