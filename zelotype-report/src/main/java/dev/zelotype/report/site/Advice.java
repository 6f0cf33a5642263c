package dev.zelotype.report.site;

import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;

/**
 * For Zelotype's own tools: a place where a test looks as if it said more than it means, with a milder form. A hint, not
 * a verdict.
 *
 * @param rule what was noticed
 * @param place the source file and line of the statement
 * @param statement the statement
 * @param milder the form to write instead
 */
public record Advice(Rule rule, String place, String statement, String milder) {

    /** What makes a test brittle. */
    public enum Rule {
        /** A call is told what it answers, and asked for as well. */
        ANSWERED_AND_VERIFIED(
                "A call that has a supposed answer is verified as well",
                "The subject cannot have got the answer without the call, and its result shows it. The check only breaks"
                        + " when the subject learns the same in another way."),
        /** A query must happen an exact number of times. */
        EXACT_COUNT_OF_QUERY(
                "A query is counted exactly",
                "Asking changes nothing, so asking twice is not a fault. The count breaks when the subject caches, or asks"
                        + " again."),
        /** A query has its place in the order of calls of several doubles. */
        QUERY_IN_ORDER(
                "A query is part of an order over three doubles or more",
                "Asking changes nothing, so it may be done earlier or later. The order breaks when it is."),
        /** Every one of several arguments must equal a value. */
        ALL_ARGUMENTS_PINNED(
                "Every argument of the same call is pinned down in several tests",
                "One test may mean them all. The others mean one of them, and break when any other changes.");

        private final String title;
        private final String reason;

        Rule(String title, String reason) {
            this.title = title;
            this.reason = reason;
        }

        /**
         * What was noticed, as a sentence.
         *
         * @return the sentence, without a full stop
         */
        public String title() {
            return title;
        }

        /**
         * Why it is brittle.
         *
         * @return a few sentences
         */
        public String reason() {
            return reason;
        }
    }

    /** The advice that a rule gives on a statement. */
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
        };
        return new Advice(rule, statement.place(), verb + "(" + statement.text() + ")" + count(statement), milder);
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
