package dev.zelotype.conversation;

import java.util.Locale;

/**
 * For tests and readers of results: the test's verdict on a call.
 *
 * @since 0.2
 */
public enum Role {
    /** It met an expectation, or a check found it. */
    EXPECTED,
    /** It is allowed, but not required. */
    ALLOWED,
    /** The double refused it. */
    UNEXPECTED,
    /** The test required it, but it did not happen; no call of a conversation has this role. */
    MISSING;

    /**
     * Returns the role as the word used in journals.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
