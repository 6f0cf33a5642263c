package dev.zelotype.doubles;

import java.util.Locale;

/**
 * How a call of a double ended.
 */
public enum Ending {
    /** It has not returned yet. */
    RUNNING,
    /** The test said what it answers. */
    ANSWERED,
    /** Nobody said what it answers, so an empty value came back. */
    DEFAULTED,
    /** Real code answered. */
    REAL,
    /** It threw, as told or by real code. */
    THREW,
    /** The double refused it. */
    UNEXPECTED;

    /**
     * The ending as the word that messages and journals use.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
