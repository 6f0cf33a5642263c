package dev.zelotype.error;

import dev.zelotype.basics.CodeOwner;
import java.util.Arrays;

/**
 * Stack traces that begin where the reader's code is.
 */
final class Frames {

    private Frames() {}

    /** Leaves out Zelotype's own frames at the top, so that the first line to click is the test's or the subject's. */
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
