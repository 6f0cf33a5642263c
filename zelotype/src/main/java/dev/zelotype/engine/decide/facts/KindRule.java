package dev.zelotype.engine.decide.facts;

import dev.zelotype.doubles.Kind;

/**
 * The differences between the kinds of doubles.
 *
 * @param unsaid the treatment of a call that no statement covers
 * @param canBeSupposed whether answers can be set for this kind
 * @param takesExpectations whether calls can be expected for this kind
 */
public record KindRule(Unsaid unsaid, boolean canBeSupposed, boolean takesExpectations) {

    /** The treatment of a call that no statement covers. */
    public enum Unsaid {
        /** It returns an empty value. */
        EMPTY,
        /** It fails. */
        REFUSED,
        /** The double's own code runs; if there is none, the call fails. */
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
