package dev.zelotype.host;

import dev.zelotype.engine.pattern.code.Variables;
import java.util.Map;

/**
 * For hosts that challenge tests: the variables in scope for a statement at the end of a test. Safe for use from any
 * thread.
 *
 * <pre>{@code
 * Map<String, String> types = TestVariables.of(getClass(), "opens_the_dome");   // {dome=dev.observatory.Dome, ...}
 * }</pre>
 *
 * @since 0.2
 */
public final class TestVariables {

    private TestVariables() {}

    /**
     * Returns the variables of a test method: local ones, if the class file names them, and fields of its class,
     * including inherited and enclosing ones.
     *
     * @param test the class of the test
     * @param method the name of the method
     * @return the types as source, with qualified names, by the names of the variables
     */
    public static Map<String, String> of(Class<?> test, String method) {
        return Variables.of(test, method);
    }
}
