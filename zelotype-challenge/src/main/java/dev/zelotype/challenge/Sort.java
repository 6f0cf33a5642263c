package dev.zelotype.challenge;

import java.util.Locale;

/**
 * For builds and tools: what a disturbance changes.
 */
public enum Sort {
    /** The subject gets another answer. */
    ANSWER,
    /** The call is neither recorded nor passed on. */
    LOST,
    /** Another argument is recorded, matched and answered. */
    ARGUMENT,
    /** A callback that the answer runs is not run. */
    CALLBACK;

    /**
     * The sort as the word that is typed and shown.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
