package dev.zelotype.examples.observatory;

import java.time.Duration;

/**
 * How long to expose: calls its own methods for the parts of the answer.
 */
public class ExposurePlan {

    private int used;

    /** The time for a target, shorter the lower it stands. */
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

    /** How often the plan was called. */
    public int used() {
        return used;
    }
}
