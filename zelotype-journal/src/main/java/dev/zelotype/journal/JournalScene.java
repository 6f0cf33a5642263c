package dev.zelotype.journal;

import dev.zelotype.conversation.Conversation;
import java.util.Locale;

/**
 * For readers and writers of journals: one scene of a journal, which is a test, how it ended, and what its doubles
 * were asked. Immutable; more may be told in later versions.
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

    /**
     * Begins a scene of a test that passed.
     *
     * @param test the test's unique name, such as {@code dev.observatory.NightRunTest#closesWhenHumid()}
     * @param conversation the doubles and their calls
     * @return a builder
     */
    public static Builder of(String test, Conversation conversation) {
        return new Builder(test, conversation);
    }

    /**
     * The test's unique name.
     *
     * @return such as {@code dev.observatory.NightRunTest#closesWhenHumid()}
     */
    public String test() {
        return test;
    }

    /**
     * The test as its report calls it.
     *
     * @return the title
     */
    public String title() {
        return title;
    }

    /**
     * The class that the test belongs to.
     *
     * @return its title
     */
    public String group() {
        return group;
    }

    /**
     * How the test ended.
     *
     * @return the outcome
     */
    public Outcome outcome() {
        return outcome;
    }

    /**
     * Why it failed.
     *
     * @return the first line; empty if it did not
     */
    public String failure() {
        return failure;
    }

    /**
     * Whether the code of the test calls anything that looks like a check.
     *
     * @return false only if it is known to call nothing of the sort
     */
    public boolean checks() {
        return checks;
    }

    /**
     * The doubles and their calls.
     *
     * @return the conversation
     */
    public Conversation conversation() {
        return conversation;
    }

    /** Puts a scene together. Not safe for use from several threads. */
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
         * Says what reports call the test.
         *
         * @param value its title
         * @return this builder
         */
        public Builder title(String value) {
            title = value;
            return this;
        }

        /**
         * Says what reports call the test's class.
         *
         * @param value its title
         * @return this builder
         */
        public Builder group(String value) {
            group = value;
            return this;
        }

        /**
         * Says how the test ended.
         *
         * @param how the outcome
         * @param why the first line of why it failed; empty if it did not
         * @return this builder
         */
        public Builder ended(Outcome how, String why) {
            outcome = how;
            failure = why;
            return this;
        }

        /**
         * Says whether the code of the test calls anything that looks like a check; it does unless said.
         *
         * @param value false if it is known to call nothing of the sort
         * @return this builder
         */
        public Builder checks(boolean value) {
            checks = value;
            return this;
        }

        /**
         * Builds it.
         *
         * @return the finished scene
         */
        public JournalScene build() {
            return new JournalScene(this);
        }
    }
}
