package dev.zelotype.challenge;

import java.util.List;

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
        /** Tests crashed, but not because they looked: nobody knows. */
        UNCLEAR,
        /** A call too many that no test noticed: whether it would be wrong, only its author knows. */
        QUESTION,
        /** Worth knowing, and not wrong. */
        NOTE
    }

    private final Weight weight;
    private final CallPlace site;
    private final ChangeKind kind;
    private final String sentence;
    private final String statement;
    private final List<String> tests;

    Finding(Weight weight, CallPlace site, ChangeKind kind, String sentence, String statement, List<String> tests) {
        this.weight = weight;
        this.site = site;
        this.kind = kind;
        this.sentence = sentence;
        this.statement = statement;
        this.tests = List.copyOf(tests);
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
     * What to write.
     *
     * @return a statement, ready to paste; empty if there is none
     */
    public String statement() {
        return statement;
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
