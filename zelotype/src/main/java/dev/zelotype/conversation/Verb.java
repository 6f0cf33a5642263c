package dev.zelotype.conversation;

import java.util.Locale;

/**
 * For tests and readers of results: the verb of a statement.
 *
 * @since 0.2
 */
public enum Verb {
    /** Sets the answer of a call. */
    SUPPOSED("suppose"),
    /** Requires a call that will happen later. */
    EXPECTED("expect"),
    /** Checks whether a call has happened. */
    VERIFIED("verify"),
    /** Returns the arguments of past calls. */
    RECORDED("recorded"),
    /** Checks that a double had no other calls than those that statements cover; it names no method. */
    NOTHING_ELSE("verifyNothingElse");

    private final String call;

    Verb(String call) {
        this.call = call;
    }

    /**
     * Returns the method that a test calls.
     *
     * @return its name, for example {@code suppose}
     */
    public String call() {
        return call;
    }

    /**
     * Returns the verb as the word used in journals.
     *
     * @return the name in lower case, for example {@code supposed}
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
