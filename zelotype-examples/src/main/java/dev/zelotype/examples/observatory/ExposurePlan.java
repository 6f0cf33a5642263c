package dev.zelotype.examples.observatory;

import java.time.Duration;

/**
 * Computes how long to expose. It calls its own methods for the parts of the result.
 */
public class ExposurePlan {

    private int used;

    /** The time for a target; the lower the target, the shorter the time. */
    public Duration timeFor(SkyTarget target) {
        used++;
        return Duration.ofSeconds((long) (baseSeconds() * clearness(target)));
    }

    /** The base time of the site's camera under a perfect sky; measuring it takes a night. */
    public int baseSeconds() {
        throw new IllegalStateException("measuring takes a night");
    }

    /** How clear the sky is at a target, from 0 to 1. */
    protected double clearness(SkyTarget target) {
        return Math.max(0.1, target.altitude() / 90.0);
    }

    /** The number of calls of the plan. */
    public int used() {
        return used;
    }
}
