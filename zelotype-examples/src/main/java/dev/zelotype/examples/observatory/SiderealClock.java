package dev.zelotype.examples.observatory;

/**
 * Sidereal time, as a static method.
 */
public final class SiderealClock {

    private SiderealClock() {}

    /** Seconds since the start of the sidereal day. */
    public static long now() {
        return System.currentTimeMillis() / 1000 * 366 / 365 % 86_400;
    }
}
