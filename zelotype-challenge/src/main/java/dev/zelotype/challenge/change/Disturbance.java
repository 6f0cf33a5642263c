package dev.zelotype.challenge.change;

/**
 * One thing to change in one run of one test.
 *
 * @param test the test's unique id
 * @param site where the call is made, and its method
 * @param occurrence which of the calls at that place in the test, from 0
 * @param kind what is changed
 * @param index which variant of an answer or a result, or which argument
 * @param part the changed part of an argument; empty for all of it
 * @param from for an added call: a test that makes it; otherwise empty
 */
public record Disturbance(
        String test, String site, int occurrence, ChangeKind kind, int index, String part, String from) {

    public Disturbance(String test, CallPlace site, ChangeKind kind, int index) {
        this(test, site.key(), site.occurrence(), kind, index, "", "");
    }

    /** No disturbance, in a test. */
    public static Disturbance none(String test) {
        return new Disturbance(test, "", 0, ChangeKind.ANSWER, 0, "", "");
    }

    /** The same disturbance for one part of an argument. */
    public Disturbance ofPart(String name) {
        return new Disturbance(test, site, occurrence, kind, index, name, from);
    }

    /** Whether another one makes the same change at the same place, in any test. */
    public boolean isSameChange(Disturbance other) {
        return site.equals(other.site)
                && kind == other.kind
                && part.equals(other.part)
                && (kind.isOfValue() || index == other.index);
    }

    /** Whether another one is about the same call in the same test. */
    public boolean isAtPlaceOf(Disturbance other) {
        return site.equals(other.site) && occurrence == other.occurrence;
    }
}
