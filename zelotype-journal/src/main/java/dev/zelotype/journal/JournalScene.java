package dev.zelotype.journal;

import dev.zelotype.conversation.Conversation;
import java.util.Locale;

/**
 * For readers and writers of journals: a scene of a journal, with its test, the test's outcome, and the calls of its
 * doubles. Immutable; later versions may have more parts.
 *
 * @since 0.2
 */
public final class JournalScene {

    private final String test;
    private final String title;
    private final String group;
    private final Outcome outcome;
    private final String failure;
    private final boolean checks;
    private final Conversation conversation;

    private JournalScene(Builder from) {
        test = from.test;
        title = from.title;
        group = from.group;
        outcome = from.outcome;
        failure = from.failure;
        checks = from.checks;
        conversation = from.conversation;
    }

    /** How a test ended. */
    public enum Outcome {
        /** It passed. */
        PASSED,
        /** A check failed, or an exception was thrown. */
        FAILED,
        /** It was aborted because an assumption did not hold. */
        ABORTED;

        /**
         * Returns the outcome as a word.
         *
         * @return the name in lower case
         */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * Starts to build the scene of a test that passed.
     *
     * @param test the test's unique name, for example {@code dev.observatory.NightRunTest#closesWhenHumid()}
     * @param conversation the doubles and their calls
     * @return a builder
     */
    public static Builder of(String test, Conversation conversation) {
        return new Builder(test, conversation);
    }

    /**
     * Returns the test's unique name.
     *
     * @return for example {@code dev.observatory.NightRunTest#closesWhenHumid()}
     */
    public String test() {
        return test;
    }

    /**
     * Returns the test's display name.
     *
     * @return the title
     */
    public String title() {
        return title;
    }

    /**
     * Returns the display name of the test's class.
     *
     * @return its title
     */
    public String group() {
        return group;
    }

    /**
     * Returns how the test ended.
     *
     * @return the outcome
     */
    public Outcome outcome() {
        return outcome;
    }

    /**
     * Returns why it failed.
     *
     * @return the first line; empty if it passed
     */
    public String failure() {
        return failure;
    }

    /**
     * Tells whether the code of the test contains anything that looks like a check.
     *
     * @return false only if it certainly contains none
     */
    public boolean checks() {
        return checks;
    }

    /**
     * Returns the doubles and their calls.
     *
     * @return the conversation
     */
    public Conversation conversation() {
        return conversation;
    }

    /** Builds a scene. Not safe for use from several threads. */
    public static final class Builder {

        private final String test;
        private final Conversation conversation;
        private String title = "";
        private String group = "";
        private Outcome outcome = Outcome.PASSED;
        private String failure = "";
        private boolean checks = true;

        private Builder(String test, Conversation conversation) {
            this.test = test;
            this.conversation = conversation;
        }

        /**
         * Sets the test's display name.
         *
         * @param value its title
         * @return this builder
         */
        public Builder title(String value) {
            title = value;
            return this;
        }

        /**
         * Sets the display name of the test's class.
         *
         * @param value its title
         * @return this builder
         */
        public Builder group(String value) {
            group = value;
            return this;
        }

        /**
         * Sets how the test ended.
         *
         * @param how the outcome
         * @param why the first line of the failure; empty if it passed
         * @return this builder
         */
        public Builder ended(Outcome how, String why) {
            outcome = how;
            failure = why;
            return this;
        }

        /**
         * Sets whether the code of the test contains anything that looks like a check; true by default.
         *
         * @param value false if it certainly contains none
         * @return this builder
         */
        public Builder checks(boolean value) {
            checks = value;
            return this;
        }

        /**
         * Builds the claim.
         *
         * @return the finished scene
         */
        public JournalScene build() {
            return new JournalScene(this);
        }
    }
}
