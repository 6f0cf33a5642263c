package dev.zelotype.challenge.finding;

import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import java.util.List;

/**
 * For builds and tools: what a challenge has found. Immutable.
 *
 * @since 0.2
 */
public final class ChallengeResult {

    /**
     * A place that was disturbed with some test noticing.
     *
     * @param site the call
     * @param kind what was changed
     * @param tests the tests that reach it
     */
    public record Noticed(CallPlace site, ChangeKind kind, List<String> tests) {

        /**
         * Copies the list.
         *
         * @param site the call
         * @param kind what was changed
         * @param tests the tests that reach it
         */
        public Noticed {
            tests = List.copyOf(tests);
        }
    }

    private final List<ChallengedTest> tests;
    private final List<Finding> findings;
    private final List<String> leftOut;
    private final List<Noticed> noticed;
    private final int gaps;
    private final int runs;
    private final int reused;
    private final boolean complete;

    /**
     * What a challenge has found.
     *
     * @param tests the challenged tests
     * @param findings what no test notices, and other remarks
     * @param leftOut what could not be challenged, and why
     * @param noticed the changes that some test noticed
     * @param gaps how many places have a change that no test notices
     * @param runs how many disturbed runs there were
     * @param reused how many more were taken from an earlier challenge
     * @param complete whether it came to its end
     */
    public ChallengeResult(
            List<ChallengedTest> tests,
            List<Finding> findings,
            List<String> leftOut,
            List<Noticed> noticed,
            int gaps,
            int runs,
            int reused,
            boolean complete) {
        this.tests = List.copyOf(tests);
        this.findings = List.copyOf(findings);
        this.leftOut = List.copyOf(leftOut);
        this.noticed = List.copyOf(noticed);
        this.gaps = gaps;
        this.runs = runs;
        this.reused = reused;
        this.complete = complete;
    }

    /**
     * The tests that were challenged.
     *
     * @return in the order they ran
     */
    public List<ChallengedTest> tests() {
        return tests;
    }

    /**
     * What was found: gaps first.
     *
     * @return the findings
     */
    public List<Finding> findings() {
        return findings;
    }

    /**
     * The tests that could not be challenged, each with the reason.
     *
     * @return one line each
     */
    public List<String> leftOut() {
        return leftOut;
    }

    /**
     * How many places were disturbed with some test noticing.
     *
     * @return the number
     */
    public int noticed() {
        return noticed.size();
    }

    /**
     * The places that were disturbed with some test noticing.
     *
     * @return one for each place and kind
     */
    public List<Noticed> noticedPlaces() {
        return noticed;
    }

    /**
     * How many places were disturbed with no test noticing.
     *
     * @return the number
     */
    public int gaps() {
        return gaps;
    }

    /**
     * How many disturbed runs there were.
     *
     * @return the number
     */
    public int runs() {
        return runs;
    }

    /**
     * How many more runs were taken from an earlier challenge, since nothing in them has changed.
     *
     * @return the number
     */
    public int reused() {
        return reused;
    }

    /**
     * Whether all that was planned was run.
     *
     * @return false if the time was up or it was stopped
     */
    public boolean isComplete() {
        return complete;
    }

    /**
     * The share of disturbed places at which some test noticed.
     *
     * @return percent; 0 if nothing could be disturbed, as {@link #isEmpty} tells
     */
    public double percent() {
        return isEmpty() ? 0 : 100.0 * noticed() / (noticed() + gaps);
    }

    /**
     * Whether no place was disturbed, so that there is nothing to be a share of.
     *
     * @return true if so; what was left out tells why
     */
    public boolean isEmpty() {
        return noticed() + gaps == 0;
    }
}
