package dev.zelotype.conversation;

import java.util.Locale;

/**
 * For tests and readers of results: what the test thinks of a call.
 *
 * @since 0.2
 */
public enum Role {
    /** An expectation was met by it, or a check has found it. */
    EXPECTED,
    /** It may happen, and is not required. */
    ALLOWED,
    /** The double refused it. */
    UNEXPECTED,
    /** The test asked for it, and it did not happen; no call of a conversation has this role. */
    MISSING;

    /**
     * The role as the word that journals use.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
