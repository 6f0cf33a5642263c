package dev.zelotype.challenge.finding;

import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * For builds and tools: something that a challenge has found. Immutable.
 *
 * @since 0.2
 */
public final class Finding {

    /** How certain it is. */
    public enum Weight {
        /** No test noticed the disturbance, so a bug there would not be found. */
        GAP,
        /** Tests crashed on the odd value: it is unclear whether a check would notice. */
        UNCLEAR,
        /** No test noticed; only the author can decide whether a test should. */
        QUESTION,
        /**
         * One of the above for calls of logging, metrics or audit, or for calls that were named as minor: it does not
         * count.
         */
        MINOR,
        /** Worth knowing, but not a problem. */
        NOTE
    }

    private final Weight weight;
    private final CallPlace site;
    private final ChangeKind kind;
    private final String sentence;
    private final String statement;
    private final String statedIn;
    private final List<Proposal> proposals;
    private final List<String> tests;

    /**
     * Makes a finding.
     *
     * @param weight how certain it is
     * @param site the call
     * @param kind what was changed
     * @param sentence the sentence
     * @param proposals the statements to try, the best first
     * @param tests the tests that reach the call
     */
    public Finding(
            Weight weight,
            CallPlace site,
            ChangeKind kind,
            String sentence,
            List<Proposal> proposals,
            List<String> tests) {
        this(weight, site, kind, sentence, "", "", proposals, tests);
    }

    private Finding(
            Weight weight,
            CallPlace site,
            ChangeKind kind,
            String sentence,
            String statement,
            String statedIn,
            List<Proposal> proposals,
            List<String> tests) {
        this.weight = weight;
        this.site = site;
        this.kind = kind;
        this.sentence = sentence;
        this.statement = statement;
        this.statedIn = statedIn;
        this.proposals = List.copyOf(proposals);
        this.tests = List.copyOf(tests);
    }

    /**
     * Returns the statements to try, the best first.
     *
     * @return the statements
     */
    public List<Proposal> proposals() {
        return proposals;
    }

    /**
     * Returns the test in which a statement is tried.
     *
     * @param proposal one of the statements
     * @return its id, or its name
     */
    public String testOf(Proposal proposal) {
        Disturbance disturbance = proposal.disturbance();
        return disturbance == null ? tests.get(0) : disturbance.test();
    }

    /**
     * Returns the finding with the statement that has been tried.
     *
     * @param tried the statement; empty if none worked
     * @param test the id of the test in which it was tried; empty if none worked
     * @return a new finding
     */
    public Finding with(String tried, String test) {
        return new Finding(weight, site, kind, sentence, tried, test, List.of(), tests);
    }

    /**
     * Returns the finding as one that does not count.
     *
     * @return a new finding
     */
    public Finding minor() {
        return new Finding(Weight.MINOR, site, kind, sentence, statement, statedIn, proposals, tests);
    }

    /**
     * Returns the finding with the tests of another one.
     *
     * @param other the other finding
     * @return a new finding
     */
    public Finding alsoIn(Finding other) {
        Set<String> all = new LinkedHashSet<>(tests);
        all.addAll(other.tests);
        return new Finding(weight, site, kind, sentence, statement, statedIn, proposals, List.copyOf(all));
    }

    /**
     * How certain it is.
     *
     * @return the certainty
     */
    public Weight weight() {
        return weight;
    }

    /**
     * Returns the call.
     *
     * @return its place and method
     */
    public CallPlace site() {
        return site;
    }

    /**
     * Returns what was changed.
     *
     * @return the kind of disturbance
     */
    public ChangeKind kind() {
        return kind;
    }

    /**
     * Returns what was found.
     *
     * @return one sentence
     */
    public String sentence() {
        return sentence;
    }

    /**
     * Returns what to write at the end of a test. It has been compiled; it passes there, and fails if the change is
     * made.
     *
     * @return a statement, ready to paste, after the imports and the field that it needs, one per line; empty if there
     *     is none
     */
    public String statement() {
        return statement;
    }

    /**
     * Returns the test in which the statement passes.
     *
     * @return its unique id on the JUnit Platform; empty without a statement
     */
    public String statedIn() {
        return statedIn;
    }

    /**
     * Returns the tests that reach the call.
     *
     * @return their names
     */
    public List<String> tests() {
        return tests;
    }
}
