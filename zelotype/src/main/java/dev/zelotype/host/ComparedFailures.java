package dev.zelotype.host;

import dev.zelotype.engine.make.Comparison;

/**
 * For hosts that run tests: failed checks as errors that IDEs can show as a comparison. Safe for use from any thread.
 *
 * <pre>{@code
 * ComparedFailures.fromNowOn();
 * }</pre>
 *
 * @since 0.2
 */
public final class ComparedFailures {

    private ComparedFailures() {}

    /**
     * Makes every {@code CheckFailure} an {@code AssertionFailedError} of opentest4j as well, if that is on the class
     * path. A host must call it before test classes are loaded: once a class that catches failures has been loaded, it
     * has no effect.
     */
    public static void fromNowOn() {
        Comparison.prepare();
    }
}
