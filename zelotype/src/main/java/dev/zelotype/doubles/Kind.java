package dev.zelotype.doubles;

/**
 * For tests and for readers of results: the five kinds of doubles.
 *
 * @since 0.2
 */
public enum Kind {

    /** Returns set answers; a call without a supposition returns an empty value. */
    STUB("stub"),

    /** Has its expected calls set beforehand; a call neither supposed nor expected fails immediately. */
    MOCK("mock"),

    /** Records its calls; answers like a stub, or passes calls on to a real object. */
    SPY("spy"),

    /** Works with its own code; methods that it does not implement fail. */
    FAKE("fake"),

    /** Only fills a parameter; any call fails. */
    DUMMY("dummy");

    private final String word;

    Kind(String word) {
        this.word = word;
    }

    /**
     * Returns the kind as the word used in messages.
     *
     * @return the name in lower case
     */
    public String word() {
        return word;
    }
}
