package dev.zelotype.conversation;

import java.util.Locale;

/**
 * For tests and readers of results: how a call of a double ended.
 *
 * @since 0.2
 */
public enum Ending {
    /** It has not returned yet. */
    RUNNING,
    /** A statement set the answer. */
    ANSWERED,
    /** No supposition covers it, so it returned an empty value. */
    DEFAULTED,
    /** Real code answered. */
    REAL,
    /** No supposition covers it, so the code of a default method ran. */
    OWN_CODE,
    /** It threw, because of a statement or in real code. */
    THREW,
    /** The double refused it. */
    UNEXPECTED;

    /**
     * Returns the answer of a call that ended this way, with its origin.
     *
     * @param answer what was returned or thrown, as text; empty for void
     * @return for example {@code = 95}, {@code = 0 (by default)} or {@code threw ...}; empty for a plain void call
     */
    public String said(String answer) {
        return switch (this) {
            case RUNNING -> "(still running)";
            case UNEXPECTED -> "(refused)";
            case THREW -> "threw " + answer;
            case DEFAULTED -> answer.isEmpty() ? "" : "= " + answer + " (by default)";
            case OWN_CODE -> answer.isEmpty() ? "(own code)" : "= " + answer + " (own code)";
            case ANSWERED, REAL -> answer.isEmpty() ? "" : "= " + answer;
        };
    }

    /**
     * Returns the ending as the word used in messages and journals.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
