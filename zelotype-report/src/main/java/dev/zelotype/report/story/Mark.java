package dev.zelotype.report.story;

import java.util.Locale;

/**
 * What the test thinks of a message; told apart by word and sign, not by colour alone.
 */
public enum Mark {
    /** An expectation was met by the call, or a check has found it. */
    EXPECTED("✔"),
    /** It may happen, and nobody insists on it. */
    ALLOWED("·"),
    /** The double refused it. */
    UNEXPECTED("✘"),
    /** The test asked for it, and it did not happen. */
    MISSING("?");

    private final String sign;

    Mark(String sign) {
        this.sign = sign;
    }

    /**
     * The mark as a word.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The mark as one character.
     *
     * @return the sign
     */
    public String sign() {
        return sign;
    }
}
