package dev.zelotype.generate;

import java.util.Locale;

/**
 * What sort of double is written.
 */
public enum Style {
    /** An abstract class with an empty answer for every method; a test overrides what it needs. */
    BASE("Base"),
    /** A class whose answers are set, method by method. */
    STUB("Stub"),
    /** A wrapper over a real object, or none, that keeps each method's calls as typed records. */
    SPY("Spy"),
    /** A skeleton in which every method is left to write, and says so when called. */
    FAKE("Fake");

    private final String suffix;

    Style(String suffix) {
        this.suffix = suffix;
    }

    /**
     * What is added to the doubled type's name.
     *
     * @return the suffix
     */
    public String suffix() {
        return suffix;
    }

    /**
     * The style as typed on a command line.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
