package dev.zelotype.journal;

import java.util.List;

/**
 * For readers and writers of journals: what a challenge of tests has found. Immutable.
 *
 * @param runs how many disturbed runs there were
 * @param complete whether all that was planned was run
 * @param tests the tests that were challenged
 * @param places the places that were disturbed
 * @since 0.2
 */
public record JournalChallenge(int runs, boolean complete, List<Tested> tests, List<Place> places) {

    /** What {@link Place#found} says of a place at which some test noticed. */
    public static final String NOTICED = "noticed";

    /** The value of {@link Place#found} for a place without a test that noticed. */
    public static final String GAP = "gap";

    /**
     * Copies the lists.
     *
     * @param runs how many disturbed runs there were
     * @param complete whether all that was planned was run
     * @param tests the tests that were challenged
     * @param places the places that were disturbed
     */
    public JournalChallenge {
        tests = List.copyOf(tests);
        places = List.copyOf(places);
    }

    /**
     * A test that was challenged.
     *
     * @param name its class and title
     * @param noticed how many disturbances it noticed
     * @param unnoticed how many it did not
     * @param unclear how many made it crash without looking
     */
    public record Tested(String name, int noticed, int unnoticed, int unclear) {}

    /**
     * A call that was disturbed in one way.
     *
     * @param found {@code noticed}, {@code gap}, {@code unclear}, {@code question}, {@code minor} or
     *     {@code note}
     * @param change what was changed: {@code answer}, {@code lost}, {@code argument}, {@code callback}
     * @param receiver the double that is asked
     * @param type the binary name of its type; empty if not known
     * @param signature the method as the type lists it
     * @param place the source file and line
     * @param sentence what was found, for people; empty where it was noticed
     * @param statement what to write; empty if nothing
     * @param tests the tests that reach it
     */
    public record Place(
            String found,
            String change,
            String receiver,
            String type,
            String signature,
            String place,
            String sentence,
            String statement,
            List<String> tests) {

        /**
         * Copies the list.
         *
         * @param found what was found
         * @param change what was changed
         * @param receiver the double that is asked
         * @param type the binary name of its type
         * @param signature the method as the type lists it
         * @param place the source file and line
         * @param sentence what was found, for people
         * @param statement what to write
         * @param tests the tests that reach it
         */
        public Place {
            tests = List.copyOf(tests);
        }
    }

    /**
     * The places with a finding.
     *
     * @param found what
     * @return how many
     */
    public long count(String found) {
        return places.stream().filter(place -> place.found().equals(found)).count();
    }
}
