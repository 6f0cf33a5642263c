package dev.zelotype.host;

import dev.zelotype.engine.pattern.code.Variables;
import java.util.Map;

/**
 * For hosts that challenge tests: the variables that a statement at the end of a test may name. Safe for use from any
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
     * The variables of a test method: local ones, if the class file names them, fields of its class, of the classes that
     * this inherits from, and of those around it.
     *
     * @param test the class of the test
     * @param method the name of the method
     * @return the types as source, with qualified names, by the names of the variables
     */
    public static Map<String, String> of(Class<?> test, String method) {
        return Variables.of(test, method);
    }
}
