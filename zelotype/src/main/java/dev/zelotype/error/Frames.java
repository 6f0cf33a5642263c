package dev.zelotype.error;

import dev.zelotype.basics.CodeOwner;
import java.util.Arrays;

/**
 * Stack traces that start at the reader's code.
 */
final class Frames {

    private Frames() {}

    /** Removes Zelotype's own frames from the top, so that the first link leads to the test or the subject. */
    static void beginOutside(Throwable thrown) {
        StackTraceElement[] frames = thrown.getStackTrace();
        int first = 0;
        while (first < frames.length && CodeOwner.isOurs(frames[first].getClassName())) {
            first++;
        }
        if (first < frames.length) {
            thrown.setStackTrace(Arrays.copyOfRange(frames, first, frames.length));
        }
    }
}
