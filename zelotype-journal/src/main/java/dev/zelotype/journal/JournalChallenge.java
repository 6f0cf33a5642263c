package dev.zelotype.journal;

import java.util.List;

/**
 * For readers and writers of journals: the result of a challenge. Immutable.
 *
 * @param runs the number of disturbed runs
 * @param complete whether all planned runs were made
 * @param tests the challenged tests
 * @param places the disturbed places
 * @since 0.2
 */
public record JournalChallenge(int runs, boolean complete, List<Tested> tests, List<Place> places) {

    /** The value of {@link Place#found} for a place where some test noticed. */
    public static final String NOTICED = "noticed";

    /** The value of {@link Place#found} for a place where no test noticed. */
    public static final String GAP = "gap";

    /**
     * Copies the lists.
     *
     * @param runs the number of disturbed runs
     * @param complete whether all planned runs were made
     * @param tests the challenged tests
     * @param places the disturbed places
     */
    public JournalChallenge {
        tests = List.copyOf(tests);
        places = List.copyOf(places);
    }

    /**
     * A challenged test.
     *
     * @param name its class and title
     * @param noticed how many disturbances it noticed
     * @param unnoticed how many it did not notice
     * @param unclear on how many it crashed without checking
     */
    public record Tested(String name, int noticed, int unnoticed, int unclear) {}

    /**
     * A call that was disturbed in one way.
     *
     * @param found {@code noticed}, {@code gap}, {@code unclear}, {@code question}, {@code minor} or {@code note}
     * @param change what was changed: {@code answer}, {@code lost}, {@code argument}, {@code callback}
     * @param receiver the called double
     * @param type the binary name of its type; empty if unknown
     * @param signature the method as it is listed for the type
     * @param place the source file and line
     * @param sentence the sentence; empty if some test noticed
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
         * @param receiver the called double
         * @param type the binary name of its type
         * @param signature the method as it is listed for the type
         * @param place the source file and line
         * @param sentence the sentence
         * @param statement the statement to write
         * @param tests the tests that reach it
         */
        public Place {
            tests = List.copyOf(tests);
        }
    }

    /**
     * Returns the places with a finding.
     *
     * @param found what
     * @return how many
     */
    public long count(String found) {
        return places.stream().filter(place -> place.found().equals(found)).count();
    }
}
