package dev.zelotype.host;

import dev.zelotype.engine.weave.Results;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: receives the results that a test gets from its calls, and may change them. Called on
 * the calling thread.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface ResultDisturber {

    /**
     * Handles the result of a test's call.
     *
     * @param result the result; boxed if primitive, null for void
     * @param owner the binary name of the class in the test's code
     * @param method the method's name
     * @param descriptor the method's descriptor
     * @return the result for the test, of the same type
     */
    @SuppressWarnings("exports")
    @Nullable
    Object disturb(@Nullable Object result, String owner, String method, String descriptor);

    /**
     * Sets a disturber between tests and the code that they call. Calls of the JDK, of test frameworks and of Zelotype
     * are left alone, and so are calls within a class.
     *
     * @param disturber the disturber
     * @throws dev.zelotype.error.MisuseException if this JVM allows no agent; the message says what to add
     */
    static void everywhere(ResultDisturber disturber) {
        Results.show(disturber::disturb);
    }

    /**
     * Marks a class as a test, so that the disturber receives the results of its calls.
     *
     * @param name the binary name of a top-level class, which includes its nested classes. Without effect unless a
     *     disturber is set
     */
    static void in(String name) {
        Results.in(name);
    }
}
