package dev.zelotype.host;

import dev.zelotype.engine.pattern.code.Checks;

/**
 * For hosts of tests: whether a test checks anything. Safe for use from any thread.
 *
 * <pre>{@code
 * boolean checks = TestChecks.areIn(getClass(), "opens_the_dome");
 * }</pre>
 *
 * @since 0.2
 */
public final class TestChecks {

    private TestChecks() {}

    /**
     * Tells whether the code of a test, including called methods of its class, contains anything that looks like a
     * check, judged by names: of a test library, of Zelotype, or of a helper class.
     *
     * @param test the class of the test
     * @param method the name of the method
     * @return false only if it certainly contains none
     */
    public static boolean areIn(Class<?> test, String method) {
        return Checks.areIn(test, method);
    }
}
