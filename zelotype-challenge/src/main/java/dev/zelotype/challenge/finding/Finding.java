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

    /** How sure it is. */
    public enum Weight {
        /** A disturbance that no test noticed: a slip there would stay. */
        GAP,
        /** Tests crashed on the odd value: it is unclear whether a check would notice. */
        UNCLEAR,
        /** Something that no test noticed; only the author can decide whether a test should. */
        QUESTION,
        /** Any of these in logging, metrics or audit, or in calls that were named as minor: it does not count. */
        MINOR,
        /** Worth knowing, and not wrong. */
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
     * @param weight how sure it is
     * @param site the call in question
     * @param kind what was changed
     * @param sentence the finding for people
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
     * The statements to try, the best first.
     *
     * @return the statements
     */
    public List<Proposal> proposals() {
        return proposals;
    }

    /**
     * The test in which a statement is tried.
     *
     * @param proposal one of the statements
     * @return its id, or its name
     */
    public String testOf(Proposal proposal) {
        Disturbance disturbance = proposal.disturbance();
        return disturbance == null ? tests.get(0) : disturbance.test();
    }

    /**
     * The same with the statement that has been tried.
     *
     * @param tried the statement; empty if none served
     * @param test the id of the test in which it was tried; empty if none served
     * @return another finding
     */
    public Finding with(String tried, String test) {
        return new Finding(weight, site, kind, sentence, tried, test, List.of(), tests);
    }

    /**
     * The same as one that counts for nothing.
     *
     * @return another finding
     */
    public Finding minor() {
        return new Finding(Weight.MINOR, site, kind, sentence, statement, statedIn, proposals, tests);
    }

    /**
     * The same with the tests of another one.
     *
     * @param other the other finding
     * @return another finding
     */
    public Finding alsoIn(Finding other) {
        Set<String> all = new LinkedHashSet<>(tests);
        all.addAll(other.tests);
        return new Finding(weight, site, kind, sentence, statement, statedIn, proposals, List.copyOf(all));
    }

    /**
     * How sure it is.
     *
     * @return the weight
     */
    public Weight weight() {
        return weight;
    }

    /**
     * The call in question.
     *
     * @return where it stands, and of what
     */
    public CallPlace site() {
        return site;
    }

    /**
     * What was changed.
     *
     * @return the kind of disturbance
     */
    public ChangeKind kind() {
        return kind;
    }

    /**
     * What was found.
     *
     * @return one sentence
     */
    public String sentence() {
        return sentence;
    }

    /**
     * What to write at the end of a test. It has been compiled, and holds there unless the change is made.
     *
     * @return a statement, ready to paste, after the imports and the field that it needs, a line each; empty if there is
     *     none
     */
    public String statement() {
        return statement;
    }

    /**
     * The test in which the statement holds.
     *
     * @return its unique id on the JUnit Platform; empty without a statement
     */
    public String statedIn() {
        return statedIn;
    }

    /**
     * The tests that reach the call.
     *
     * @return their names
     */
    public List<String> tests() {
        return tests;
    }
}
