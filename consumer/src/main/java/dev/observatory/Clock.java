package dev.observatory;

/** Cannot be injected. */
final class Clock {

    private Clock() {}

    static long now() {
        return System.nanoTime();
    }

    static long millis() {
        return System.currentTimeMillis();
    }
}
