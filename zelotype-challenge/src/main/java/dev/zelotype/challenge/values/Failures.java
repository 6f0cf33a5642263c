package dev.zelotype.challenge.values;

import java.lang.reflect.Executable;

/**
 * Exceptions as a failing collaborator would throw them.
 */
public final class Failures {

    private Failures() {}

    /** An exception that a method declares, or else an unchecked one. */
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
