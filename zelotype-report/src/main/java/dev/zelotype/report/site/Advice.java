package dev.zelotype.report.site;

import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;

/**
 * For Zelotype's own tools: a place where a test probably requires more than intended, with a weaker form. A hint, not
 * a verdict.
 *
 * @param rule the rule
 * @param place the source file and line of the statement; empty for a whole test
 * @param statement the statement, or the test
 * @param milder the form to write instead
 */
public record Advice(Rule rule, String place, String statement, String milder) {

    /** What makes a test brittle, or prevents it from failing. */
    public enum Rule {
        /** The answer of a call is set, and the call is verified as well. */
        ANSWERED_AND_VERIFIED(
                "A call that has a supposed answer is verified as well",
                "The subject cannot have got the answer without the call, and its result shows it. The check only breaks"
                        + " when the subject learns the same in another way."),
        /** A query must happen an exact number of times. */
        EXACT_COUNT_OF_QUERY(
                "A query is counted exactly",
                "Asking changes nothing, so asking twice is not a fault. The count breaks when the subject caches, or asks"
                        + " again."),
        /** A query is part of an order of calls of several doubles. */
        QUERY_IN_ORDER(
                "A query is part of an order over three doubles or more",
                "Asking changes nothing, so it may be done earlier or later. The order breaks when it is."),
        /** Each of several arguments must equal a value. */
        ALL_ARGUMENTS_PINNED(
                "Every argument of the same call is pinned down in several tests",
                "One test may mean them all. The others mean one of them, and break when any other changes."),
        /** A double with queries only must have no other call. */
        NOTHING_ELSE_OF_QUERIES(
                "verifyNothingElse names a double that is only asked",
                "Asking changes nothing, so another question is not a fault. The check breaks when the subject asks once"
                        + " more, or asks for something else."),
        /** The time must be read an exact number of times. */
        EXACT_COUNT_OF_TIME(
                "The time is asked for an exact number of times",
                "How often a subject looks at the clock is its own affair. The count breaks when it logs or measures"
                        + " something."),
        /** Commands were called, but no statement and no assertion checks anything. */
        NO_CHECK(
                "A test makes its subject do something, and checks nothing",
                "Neither a check of a double nor an assertion was found in its code, so it fails only if something is"
                        + " thrown.");

        private final String title;
        private final String reason;

        Rule(String title, String reason) {
            this.title = title;
            this.reason = reason;
        }

        /**
         * Returns what was noticed, as a sentence.
         *
         * @return the sentence, without a full stop
         */
        public String title() {
            return title;
        }

        /**
         * Returns why it is brittle.
         *
         * @return a few sentences
         */
        public String reason() {
            return reason;
        }
    }

    /** The advice of a rule on a statement. */
    static Advice of(Rule rule, TestStatement statement) {
        String verb = statement.verb() == Verb.EXPECTED ? "expect" : "verify";
        String milder = switch (rule) {
            case ANSWERED_AND_VERIFIED ->
                "leave the verify(...) out, and assert on what the subject made of the answer";
            case EXACT_COUNT_OF_QUERY ->
                verb + "(...).atLeast(1)" + (verb.equals("expect") ? ", or suppose(...)" : ", or no check");
            case QUERY_IN_ORDER -> "take it out of inThisOrder(...), and assert on what the subject made of the answer";
            case ALL_ARGUMENTS_PINNED ->
                "make what does not matter a parameter of the lambda: it then matches any value";
            case EXACT_COUNT_OF_TIME -> verb + "(...).atLeast(1), or no check";
            case NOTHING_ELSE_OF_QUERIES ->
                "leave it out, or name the doubles that do something: verify(...).never() says what must not be done";
            case NO_CHECK -> throw new IllegalArgumentException("it is about no statement");
        };
        if (rule == Rule.NOTHING_ELSE_OF_QUERIES) {
            return new Advice(rule, statement.place(), "verifyNothingElse(" + statement.text() + ")", milder);
        }
        return new Advice(rule, statement.place(), verb + "(" + statement.text() + ")" + count(statement), milder);
    }

    /** The advice on a whole test. */
    static Advice ofTest(String test, RecordedCall command) {
        String method = command.signature().substring(0, command.signature().indexOf('('));
        return new Advice(
                Rule.NO_CHECK,
                "",
                test,
                "verify(" + command.receiver() + "::" + method + ").once(), if that is what matters, or an assertion on"
                        + " the result");
    }

    private static String count(TestStatement statement) {
        if (statement.isExact()) {
            return statement.min() == 1 ? ".once()" : ".times(" + statement.min() + ")";
        }
        return statement.max() == 0
                ? ".never()"
                : statement.max() == Integer.MAX_VALUE
                        ? ".atLeast(" + statement.min() + ")"
                        : ".between(" + statement.min() + ", " + statement.max() + ")";
    }
}
