package dev.zelotype.journal;

import dev.zelotype.doubles.Conversation;
import java.util.Locale;

/**
 * One scene of a journal: a test, how it ended, and what its doubles were asked.
 *
 * @param test the test's unique name, such as {@code dev.observatory.NightRunTest#closesWhenHumid()}
 * @param title the test as its report calls it
 * @param group the title of the class that the test belongs to
 * @param outcome how the test ended
 * @param failure the first line of why it failed; empty if it did not
 * @param conversation the doubles and their calls
 */
public record JournalScene(
        String test, String title, String group, Outcome outcome, String failure, Conversation conversation) {

    /** How a test ended. */
    public enum Outcome {
        /** All went well. */
        PASSED,
        /** An assertion failed, or something was thrown. */
        FAILED,
        /** The test gave up because an assumption did not hold. */
        ABORTED;

        /**
         * The outcome as a word.
         *
         * @return the name in lower case
         */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
