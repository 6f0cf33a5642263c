package dev.zelotype.host;

import dev.zelotype.engine.make.Comparison;

/**
 * For hosts that run tests: failed checks as errors that IDEs compare with. Safe for use from any thread.
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
     * Lets every {@code CheckFailure} also be an {@code AssertionFailedError} of opentest4j, if that is on the class path. A
     * host calls it before classes of tests load: once a class that catches failures has been loaded, they stay plain.
     */
    public static void fromNowOn() {
        Comparison.prepare();
    }
}
