package dev.zelotype.engine.decide.facts;

import dev.zelotype.doubles.Kind;

/**
 * What tells one kind of doubles from another.
 *
 * @param unsaid what becomes of a call that no statement covers
 * @param canBeSupposed whether a double of this kind can be told what it answers
 * @param takesExpectations whether it can be told beforehand what it will be asked
 */
public record KindRule(Unsaid unsaid, boolean canBeSupposed, boolean takesExpectations) {

    /** What becomes of a call that no statement covers. */
    public enum Unsaid {
        /** It is answered with an empty value. */
        EMPTY,
        /** It fails. */
        REFUSED,
        /** The double's own code runs; where there is none, the call fails. */
        OWN_CODE
    }

    private static final KindRule STUB = new KindRule(Unsaid.EMPTY, true, false);
    private static final KindRule MOCK = new KindRule(Unsaid.REFUSED, true, true);
    private static final KindRule SPY = new KindRule(Unsaid.EMPTY, true, true);
    private static final KindRule FAKE = new KindRule(Unsaid.OWN_CODE, true, false);
    private static final KindRule DUMMY = new KindRule(Unsaid.REFUSED, false, false);

    public static KindRule of(Kind kind) {
        return switch (kind) {
            case STUB -> STUB;
            case MOCK -> MOCK;
            case SPY -> SPY;
            case FAKE -> FAKE;
            case DUMMY -> DUMMY;
        };
    }
}
