package dev.zelotype.report.site;

import dev.zelotype.doubles.TestStatement;
import dev.zelotype.doubles.Verb;
import dev.zelotype.journal.JournalScene;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

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
                "Asking changes nothing, so asking twice is no fault. The count breaks when the subject caches, or asks"
                        + " again."),
        /** Several doubles that have nothing to do with each other must be called in one order. */
        ORDER_OVER_MANY(
                "One order spans three doubles or more",
                "Some of these calls could be exchanged without anybody noticing. The order breaks when they are."),
        /** Every one of several arguments must equal a value. */
        ALL_ARGUMENTS_PINNED(
                "Every argument is pinned down",
                "The test means one of them, and breaks when any of the others changes.");

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

    private static final int MANY_ARGUMENTS = 3;
    private static final int MANY_DOUBLES = 3;

    /**
     * Looks at one test.
     *
     * @param scene the test
     * @return what is worth a thought; mostly nothing
     */
    static List<Advice> on(JournalScene scene) {
        List<TestStatement> statements = scene.conversation().statements();
        Set<String> supposed = new HashSet<>();
        Map<Integer, Set<String>> orders = new HashMap<>();
        for (TestStatement statement : statements) {
            if (statement.verb() == Verb.SUPPOSED && statement.query()) {
                supposed.add(method(statement));
            }
            if (statement.order() > 0) {
                orders.computeIfAbsent(statement.order(), order -> new HashSet<>())
                        .add(statement.receiver());
            }
        }
        List<Advice> advice = new ArrayList<>();
        Set<Integer> orderTold = new HashSet<>();
        for (TestStatement statement : statements) {
            if (statement.verb() == Verb.SUPPOSED) {
                continue;
            }
            boolean order = statement.order() > 0;
            if (order && orders.get(statement.order()).size() >= MANY_DOUBLES && orderTold.add(statement.order())) {
                advice.add(new Advice(
                        Rule.ORDER_OVER_MANY,
                        statement.place(),
                        "inThisOrder(...) over " + String.join(", ", orders.get(statement.order())),
                        "keep in inThisOrder(...) only the two calls of which one must not come first"));
            }
            if (statement.verb() == Verb.VERIFIED && statement.min() > 0 && supposed.contains(method(statement))) {
                advice.add(of(
                        Rule.ANSWERED_AND_VERIFIED,
                        statement,
                        "leave the verify(...) out, and assert on what the subject made of the answer"));
            } else if (statement.query() && statement.isExact() && !order) {
                String verb = statement.verb() == Verb.EXPECTED ? "expect" : "verify";
                advice.add(of(
                        Rule.EXACT_COUNT_OF_QUERY,
                        statement,
                        verb + "(...).atLeast(1)" + (verb.equals("expect") ? ", or suppose(...)" : ", or no check")));
            }
            if (statement.parameters() >= MANY_ARGUMENTS && statement.pinned() == statement.parameters()) {
                advice.add(of(
                        Rule.ALL_ARGUMENTS_PINNED,
                        statement,
                        "make what does not matter a parameter of the lambda: it then stands for any value"));
            }
        }
        return advice;
    }

    private static Advice of(Rule rule, TestStatement statement, String milder) {
        String verb = statement.verb() == Verb.EXPECTED ? "expect" : "verify";
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

    private static String method(TestStatement statement) {
        return statement.receiver() + "." + statement.signature();
    }
}
