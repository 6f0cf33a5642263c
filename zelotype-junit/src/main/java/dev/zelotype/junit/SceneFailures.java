package dev.zelotype.junit;

import dev.zelotype.error.CheckFailure;
import org.opentest4j.MultipleFailuresError;

/**
 * Several failures at the end of a test, in the form that IDEs show one by one, each with expected and closest actual.
 * The conversation is only in the message of the whole.
 */
final class SceneFailures extends MultipleFailuresError {

    private static final long serialVersionUID = 1L;

    private final String message;

    SceneFailures(CheckFailure all) {
        super("", all.failures());
        message = String.valueOf(all.getMessage());
        setStackTrace(all.getStackTrace());
    }

    @Override
    public String getMessage() {
        return message;
    }
}
