package dev.zelotype.challenge;

import dev.zelotype.error.Mask;
import java.util.Set;
import org.junit.platform.engine.TestExecutionResult;

/**
 * What the end of a test says about its disturbance.
 */
final class Verdicts {

    static final String PASSED = "passed";
    static final String NOTICED = "noticed";
    static final String UNCLEAR = "unclear";
    static final String ABORTED = "aborted";

    /** What odd values alone explain: no test meant to find them. */
    private static final Set<Class<?>> CRASHES = Set.of(
            NullPointerException.class,
            ClassCastException.class,
            IndexOutOfBoundsException.class,
            ArrayIndexOutOfBoundsException.class,
            StringIndexOutOfBoundsException.class,
            NegativeArraySizeException.class,
            ArithmeticException.class,
            ArrayStoreException.class);

    private Verdicts() {}

    static String of(TestExecutionResult result) {
        return switch (result.getStatus()) {
            case SUCCESSFUL -> PASSED;
            case ABORTED -> ABORTED;
            case FAILED -> result.getThrowable().map(Verdicts::isCrash).orElse(false) ? UNCLEAR : NOTICED;
        };
    }

    private static boolean isCrash(Throwable thrown) {
        return CRASHES.contains(thrown.getClass());
    }

    static String firstLine(Throwable thrown) {
        try {
            return Mask.apply(String.valueOf(thrown.getMessage())
                    .lines()
                    .findFirst()
                    .orElse(thrown.getClass().getName()));
        } catch (Throwable e) {
            return thrown.getClass().getName();
        }
    }
}
