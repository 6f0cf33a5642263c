package dev.zelotype.challenge.values;

import java.lang.reflect.Executable;

/**
 * Exceptions as a collaborator that fails would throw them.
 */
public final class Failures {

    private Failures() {}

    /** What a method declares to throw; an exception that it need not declare if that is nothing. */
    public static Throwable of(Executable method) {
        for (Class<?> declared : method.getExceptionTypes()) {
            Throwable thrown = OtherObjects.thrown(declared);
            if (thrown != null) {
                return thrown;
            }
        }
        return new IllegalStateException("disturbed");
    }
}
