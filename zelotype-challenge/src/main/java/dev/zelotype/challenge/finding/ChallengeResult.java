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
     * A disturbed place where some test noticed.
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
     * The result of a challenge.
     *
     * @param tests the challenged tests
     * @param findings what no test notices, and other remarks
     * @param leftOut what could not be challenged, and why
     * @param noticed the changes that some test noticed
     * @param gaps the number of places with a change that no test notices
     * @param runs the number of disturbed runs
     * @param reused the number of further runs that were reused from an earlier challenge
     * @param complete whether it ran to its end
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
     * Returns the challenged tests.
     *
     * @return in the order in which they ran
     */
    public List<ChallengedTest> tests() {
        return tests;
    }

    /**
     * Returns the findings, gaps first.
     *
     * @return the findings
     */
    public List<Finding> findings() {
        return findings;
    }

    /**
     * Returns the tests that could not be challenged, each with the reason.
     *
     * @return one line each
     */
    public List<String> leftOut() {
        return leftOut;
    }

    /**
     * Returns the number of disturbed places where some test noticed.
     *
     * @return the number
     */
    public int noticed() {
        return noticed.size();
    }

    /**
     * Returns the disturbed places where some test noticed.
     *
     * @return one for each place and kind
     */
    public List<Noticed> noticedPlaces() {
        return noticed;
    }

    /**
     * Returns the number of disturbed places where no test noticed.
     *
     * @return the number
     */
    public int gaps() {
        return gaps;
    }

    /**
     * Returns the number of disturbed runs.
     *
     * @return the number
     */
    public int runs() {
        return runs;
    }

    /**
     * Returns the number of further runs that were reused from an earlier challenge, because nothing in them has
     * changed.
     *
     * @return the number
     */
    public int reused() {
        return reused;
    }

    /**
     * Tells whether all planned runs were made.
     *
     * @return false if the time was up or the challenge was stopped
     */
    public boolean isComplete() {
        return complete;
    }

    /**
     * Returns the share of disturbed places where some test noticed.
     *
     * @return percent; 0 if nothing could be disturbed, see {@link #isEmpty}
     */
    public double percent() {
        return isEmpty() ? 0 : 100.0 * noticed() / (noticed() + gaps);
    }

    /**
     * Tells whether no place was disturbed, so that a share cannot be computed.
     *
     * @return whether it is empty; the tests that were left out tell why
     */
    public boolean isEmpty() {
        return noticed() + gaps == 0;
    }
}
