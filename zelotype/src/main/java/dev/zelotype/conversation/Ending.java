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
    /** The test said what it answers. */
    ANSWERED,
    /** No supposition covers it, so it returned an empty value. */
    DEFAULTED,
    /** Real code answered. */
    REAL,
    /** No supposition covers it, so the code of a default method ran. */
    OWN_CODE,
    /** It threw, as told or by real code. */
    THREW,
    /** The double refused it. */
    UNEXPECTED;

    /**
     * The answer of a call that ended this way, with what is to be known of it.
     *
     * @param answer what was returned or thrown, as text; empty if there is nothing to tell
     * @return such as {@code = 95}, {@code = 0 (by default)} or {@code threw ...}; empty for a plain call that gives
     *     nothing back
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
     * The ending as the word that messages and journals use.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
