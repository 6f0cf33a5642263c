package dev.zelotype.challenge.change;

/**
 * One thing to change in one run of one test.
 *
 * @param test the test's unique id
 * @param site where the call is made, and of what
 * @param occurrence which of the calls of that site in the test, from 0
 * @param kind what is changed
 * @param index which variant of an answer or a result, or which argument
 * @param part what is changed of an argument; empty for all of it
 * @param from for a call that is made where it is not made: a test that makes it; else empty
 */
public record Disturbance(
        String test, String site, int occurrence, ChangeKind kind, int index, String part, String from) {

    public Disturbance(String test, CallPlace site, ChangeKind kind, int index) {
        this(test, site.key(), site.occurrence(), kind, index, "", "");
    }

    /** Nothing, in a test. */
    public static Disturbance none(String test) {
        return new Disturbance(test, "", 0, ChangeKind.ANSWER, 0, "", "");
    }

    /** The same with one part of an argument. */
    public Disturbance ofPart(String name) {
        return new Disturbance(test, site, occurrence, kind, index, name, from);
    }

    /** Whether another one makes the same change of the same place, in whatever test. */
    public boolean isSameChange(Disturbance other) {
        return site.equals(other.site)
                && kind == other.kind
                && part.equals(other.part)
                && (kind.isOfValue() || index == other.index);
    }

    /** Whether another one is about the same call of the same test. */
    public boolean isAtPlaceOf(Disturbance other) {
        return site.equals(other.site) && occurrence == other.occurrence;
    }
}
