package dev.zelotype.conversation;

import java.util.Locale;

/**
 * For tests and readers of results: what a statement of a test does.
 *
 * @since 0.2
 */
public enum Verb {
    /** Says what a call answers. */
    SUPPOSED("suppose"),
    /** Says beforehand that a call must happen. */
    EXPECTED("expect"),
    /** Asks afterwards whether a call happened. */
    VERIFIED("verify"),
    /** Asks afterwards for the arguments of calls. */
    RECORDED("recorded"),
    /** Says that a double had no other calls than those that some statement is about; it names no method. */
    NOTHING_ELSE("verifyNothingElse");

    private final String call;

    Verb(String call) {
        this.call = call;
    }

    /**
     * The method that a test writes.
     *
     * @return its name, such as {@code suppose}
     */
    public String call() {
        return call;
    }

    /**
     * The verb as the word that journals use.
     *
     * @return the name in lower case, such as {@code supposed}
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
