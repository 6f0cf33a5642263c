package dev.zelotype.challenge.change;

import java.util.Set;
import org.junit.platform.engine.TestExecutionResult;

/**
 * What the end of a test says about its disturbance.
 */
public enum Verdict {
    PASSED,
    NOTICED,
    UNCLEAR,
    ABORTED;

    /** Failures that only the odd value explains: no test was meant to find them. */
    private static final Set<Class<?>> CRASHES = Set.of(
            NullPointerException.class,
            ClassCastException.class,
            IndexOutOfBoundsException.class,
            ArrayIndexOutOfBoundsException.class,
            StringIndexOutOfBoundsException.class,
            NegativeArraySizeException.class,
            ArithmeticException.class,
            ArrayStoreException.class);

    public static Verdict of(TestExecutionResult result) {
        return switch (result.getStatus()) {
            case SUCCESSFUL -> PASSED;
            case ABORTED -> ABORTED;
            case FAILED -> result.getThrowable().map(Verdict::isCrash).orElse(false) ? UNCLEAR : NOTICED;
        };
    }

    private static boolean isCrash(Throwable thrown) {
        return CRASHES.contains(thrown.getClass());
    }
}
