package dev.zelotype.doubles;

/**
 * The five kinds of doubles, with the rules that tell them apart.
 */
public enum Kind {

    /** Gives canned answers; a call that nobody supposed is answered with an empty value. */
    STUB(Unconfigured.EMPTY, true, false),

    /** Is told beforehand what it will be asked; a call neither supposed nor expected fails at once. */
    MOCK(Unconfigured.REFUSED, true, true),

    /** Records what it is asked; answers like a stub, or passes calls on to a real object. */
    SPY(Unconfigured.EMPTY, true, true),

    /** Works by its own code; what it does not implement fails. */
    FAKE(Unconfigured.OWN_CODE, true, false),

    /** Fills a place; any call fails. */
    DUMMY(Unconfigured.REFUSED, false, false);

    private final Unconfigured unconfigured;
    private final boolean canBeSupposed;
    private final boolean takesExpectations;

    Kind(Unconfigured unconfigured, boolean canBeSupposed, boolean takesExpectations) {
        this.unconfigured = unconfigured;
        this.canBeSupposed = canBeSupposed;
        this.takesExpectations = takesExpectations;
    }

    /**
     * What becomes of a call that nobody configured.
     */
    public enum Unconfigured {
        /** It is answered with an empty value. */
        EMPTY,
        /** It fails. */
        REFUSED,
        /** The double's own code runs; where there is none, the call fails. */
        OWN_CODE
    }

    /**
     * What becomes of a call that nobody configured.
     *
     * @return the rule
     */
    public Unconfigured unconfigured() {
        return unconfigured;
    }

    /**
     * Whether a double of this kind can be told what it answers.
     *
     * @return the rule
     */
    public boolean canBeSupposed() {
        return canBeSupposed;
    }

    /**
     * Whether a double of this kind can be told beforehand what it will be asked.
     *
     * @return the rule
     */
    public boolean takesExpectations() {
        return takesExpectations;
    }

    /**
     * The kind as the word that messages use.
     *
     * @return the name in lower case
     */
    public String word() {
        return switch (this) {
            case STUB -> "stub";
            case MOCK -> "mock";
            case SPY -> "spy";
            case FAKE -> "fake";
            case DUMMY -> "dummy";
        };
    }
}
