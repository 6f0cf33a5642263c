package dev.zelotype.host;

import dev.zelotype.engine.weave.Results;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: receives results between what a test calls and the test, and may change what is
 * returned. Called on the calling thread.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface ResultDisturber {

    /**
     * A call of a test has returned.
     *
     * @param result what it gave; a box for a primitive, null for a call that gives nothing
     * @param owner the binary name of the class that the test's code names
     * @param method the method's name
     * @param descriptor the method's descriptor
     * @return what the test gets, of the same type
     */
    @SuppressWarnings("exports")
    @Nullable
    Object disturb(@Nullable Object result, String owner, String method, String descriptor);

    /**
     * Sets a disturber between tests and what they call. Calls of the JDK, of test frameworks and of Zelotype are left
     * alone, and so are those that a class makes of itself.
     *
     * @param disturber the disturber
     * @throws dev.zelotype.error.MisuseException if this JVM lets no agent in; the message says what to add
     */
    static void everywhere(ResultDisturber disturber) {
        Results.show(disturber::disturb);
    }

    /**
     * Marks a class as a test, so that the disturber sees what its calls return.
     *
     * @param name the binary name of a top-level class; those within it are meant as well. Without effect unless a
     *     disturber is set
     */
    static void in(String name) {
        Results.in(name);
    }
}
