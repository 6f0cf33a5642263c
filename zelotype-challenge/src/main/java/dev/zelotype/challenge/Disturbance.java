package dev.zelotype.challenge;

/**
 * One thing to change in one run of one test.
 *
 * @param test the test's unique id
 * @param site where the call is made, and of what
 * @param occurrence which of the calls of that site in the test, from 0
 * @param kind what is changed
 * @param index which variant of an answer or a result, or which argument
 * @param from for a call that is made where it is not made: a test that makes it; else empty
 */
record Disturbance(String test, String site, int occurrence, ChangeKind kind, int index, String from) {

    Disturbance(String test, String site, int occurrence, ChangeKind kind, int index) {
        this(test, site, occurrence, kind, index, "");
    }
}
