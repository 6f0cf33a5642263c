package dev.observatory;

import java.time.Instant;
import java.util.function.LongSupplier;

/** Writes a line of the night's report, from what it is given, what it makes itself and what it asks the JVM. */
public final class NightReport {

    private final LongSupplier clock;
    private final String site;

    public NightReport(LongSupplier clock, String site) {
        this.clock = clock;
        this.site = site;
    }

    public String line() {
        return site + "/" + clock.getAsLong() + "/" + Clock.now() + "/" + Instant.now().getEpochSecond() + "/"
                + new Link("COM3").answer("focus");
    }
}
