package dev.zelotype.doubles;

/**
 * For tests and for readers of results: the five kinds of doubles.
 *
 * @since 0.2
 */
public enum Kind {

    /** Gives canned answers; a call without a supposed answer gets an empty value. */
    STUB("stub"),

    /** Knows beforehand which calls to expect; a call neither supposed nor expected fails immediately. */
    MOCK("mock"),

    /** Records what it is asked; answers like a stub, or passes calls on to a real object. */
    SPY("spy"),

    /** Works by its own code; what it does not implement fails. */
    FAKE("fake"),

    /** Fills a place; any call fails. */
    DUMMY("dummy");

    private final String word;

    Kind(String word) {
        this.word = word;
    }

    /**
     * The kind as the word that messages use.
     *
     * @return the name in lower case
     */
    public String word() {
        return word;
    }
}
