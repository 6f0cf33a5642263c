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
                "The subject needs the call for its result, so the result already shows it. The check only "
                        + "breaks if the subject gets the value in another way."),
        /** A query must happen an exact number of times. */
        EXACT_COUNT_OF_QUERY(
                "A query is counted exactly",
                "A query changes nothing, so calling it twice is not a fault. The count breaks if the "
                        + "subject caches the value, or reads it again."),
        /** A query is part of an order of calls of several doubles. */
        QUERY_IN_ORDER(
                "A query is part of an order over three doubles or more",
                "A query changes nothing, so it may be made earlier or later. The order breaks if it is."),
        /** Each of several arguments must equal a value. */
        ALL_ARGUMENTS_PINNED(
                "Several tests fix every argument of the same call",
                "One test may be about all of them. The others are about one, and break if any other " + "changes."),
        /** A double with queries only must have no other call. */
        NOTHING_ELSE_OF_QUERIES(
                "verifyNothingElse is used on a double with queries only",
                "A query changes nothing, so another one is not a fault. The check breaks if the subject "
                        + "makes one more query."),
        /** The time must be read an exact number of times. */
        EXACT_COUNT_OF_TIME(
                "The time must be read an exact number of times",
                "How often a subject reads the clock does not matter. The count breaks if it logs or "
                        + "measures something."),
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
            case ANSWERED_AND_VERIFIED -> "leave out the verify(...), and assert on the result of the subject";
            case EXACT_COUNT_OF_QUERY ->
                verb + "(...).atLeast(1)" + (verb.equals("expect") ? ", or suppose(...)" : ", or no check");
            case QUERY_IN_ORDER -> "remove it from inThisOrder(...), and assert on the result of the subject";
            case ALL_ARGUMENTS_PINNED ->
                "replace irrelevant arguments by parameters of the lambda, which match any value";
            case EXACT_COUNT_OF_TIME -> verb + "(...).atLeast(1), or no check";
            case NOTHING_ELSE_OF_QUERIES ->
                "leave it out, or use it on doubles with commands; verify(...).never() forbids a command";
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
