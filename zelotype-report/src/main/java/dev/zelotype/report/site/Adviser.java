package dev.zelotype.report.site;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.site.Advice.Rule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Finds where tests require more than intended, based on what the whole journal shows about a method: how it is called,
 * what it answers, who calls it. If there was a challenge, its findings decide. For one thread.
 */
final class Adviser {

    private static final int MANY_ARGUMENTS = 3;
    private static final int MANY_DOUBLES = 3;
    private static final int MANY_TESTS = 3;

    private final Map<String, Set<String>> answers = new HashMap<>();
    /** By type, its methods. */
    private final Map<String, List<String>> methods = new HashMap<>();

    private final Map<String, Set<Integer>> pinned = new HashMap<>();
    private final List<Candidate> candidates = new ArrayList<>();

    /** Possible advice on a statement, to be decided when all tests are known. */
    private record Candidate(Rule rule, String method, String signature, int test, Advice advice) {}

    /** Adds a test with its number. */
    void add(int test, JournalScene scene) {
        Conversation conversation = scene.conversation();
        Map<String, String> typeOf = conversation.typesOfDoubles();
        for (RecordedCall call : conversation.calls()) {
            Set<String> known = answers.computeIfAbsent(
                    typeOf.getOrDefault(call.receiver(), "") + "." + call.signature(), first -> new HashSet<>());
            if (known.size() < 2) {
                known.add(call.answer());
            }
        }
        Set<String> supposed = new HashSet<>();
        Map<Integer, Set<String>> orders = new HashMap<>();
        for (TestStatement statement : conversation.statements()) {
            if (statement.verb() == Verb.SUPPOSED && statement.query()) {
                supposed.add(statement.receiver() + "." + statement.signature());
            }
            if (statement.order() > 0) {
                orders.computeIfAbsent(statement.order(), order -> new HashSet<>())
                        .add(statement.receiver());
            }
        }
        for (TestStatement statement : conversation.statements()) {
            String type = typeOf.getOrDefault(statement.receiver(), "");
            if (statement.verb() == Verb.EXPECTED || statement.verb() == Verb.VERIFIED) {
                look(test, statement, type + "." + statement.signature(), supposed, orders);
            } else if (statement.verb() == Verb.NOTHING_ELSE) {
                candidate(Rule.NOTHING_ELSE_OF_QUERIES, test, statement, type);
            }
        }
        conversation.types().forEach(each -> methods.put(each.name(), each.methods()));
        lookAtWhole(test, scene);
    }

    /**
     * Whether a test without any check makes its subject do something. A mock refuses other calls, which counts as a
     * check.
     */
    private void lookAtWhole(int test, JournalScene scene) {
        Conversation conversation = scene.conversation();
        boolean says = conversation.statements().stream().anyMatch(each -> each.verb() != Verb.SUPPOSED)
                || conversation.doubles().stream().anyMatch(each -> each.kind() == Kind.MOCK);
        if (says || scene.checks() || scene.outcome() != JournalScene.Outcome.PASSED) {
            return;
        }
        conversation.calls().stream()
                .filter(each -> each.answer().isEmpty()
                        && each.role() == Role.ALLOWED
                        && !scene.test().startsWith(each.caller() + "#"))
                .findFirst()
                .ifPresent(command -> candidates.add(new Candidate(
                        Rule.NO_CHECK,
                        "",
                        command.signature(),
                        test,
                        Advice.ofTest(scene.group() + ": " + scene.title(), command))));
    }

    private void look(
            int test, TestStatement statement, String method, Set<String> supposed, Map<Integer, Set<String>> orders) {
        boolean wanted = statement.min() > 0;
        boolean ordered = statement.order() > 0;
        boolean answered = supposed.contains(statement.receiver() + "." + statement.signature());
        if (statement.verb() == Verb.VERIFIED && wanted && answered && !ordered) {
            candidate(Rule.ANSWERED_AND_VERIFIED, test, statement, method);
        } else if (statement.query() && statement.isExact() && !ordered && CallNames.tellsTime(method)) {
            candidate(Rule.EXACT_COUNT_OF_TIME, test, statement, method);
        } else if (statement.query() && statement.isExact() && wanted && !ordered) {
            candidate(Rule.EXACT_COUNT_OF_QUERY, test, statement, method);
        }
        if (ordered && statement.query() && orders.get(statement.order()).size() >= MANY_DOUBLES) {
            candidate(Rule.QUERY_IN_ORDER, test, statement, method);
        }
        if (statement.parameters() >= MANY_ARGUMENTS && statement.pinned() == statement.parameters()) {
            pinned.computeIfAbsent(method, first -> new LinkedHashSet<>()).add(test);
            candidate(Rule.ALL_ARGUMENTS_PINNED, test, statement, method);
        }
    }

    private void candidate(Rule rule, int test, TestStatement statement, String method) {
        candidates.add(new Candidate(rule, method, statement.signature(), test, Advice.of(rule, statement)));
    }

    /** The advice, with the tests that it applies to. */
    Map<Advice, List<Integer>> advice(@Nullable JournalChallenge challenge) {
        Map<Advice, List<Integer>> found = new LinkedHashMap<>();
        Set<String> gaps = gaps(challenge);
        for (Candidate each : candidates) {
            boolean holds = switch (each.rule()) {
                case ANSWERED_AND_VERIFIED -> asks(each) && !gaps.contains(each.method());
                case EXACT_COUNT_OF_QUERY, QUERY_IN_ORDER -> asks(each);
                case NOTHING_ELSE_OF_QUERIES -> isOnlyAsked(each.method());
                case EXACT_COUNT_OF_TIME, NO_CHECK -> true;
                case ALL_ARGUMENTS_PINNED -> pinned.get(each.method()).size() >= MANY_TESTS;
            };
            if (holds) {
                found.computeIfAbsent(each.advice(), first -> new ArrayList<>()).add(each.test());
            }
        }
        return found;
    }

    /** Whether all methods of a type are queries, according to their names and answers. */
    private boolean isOnlyAsked(String type) {
        List<String> all = methods.getOrDefault(type, List.of());
        return !all.isEmpty()
                && all.stream()
                        .allMatch(method -> CallNames.asks(method)
                                || CallNames.mayBeNamedForWhatItGives(method)
                                        && answers.getOrDefault(type + "." + method, Set.of()).stream()
                                                .anyMatch(answer -> !answer.isEmpty()));
    }

    /** A name of a query, or the name of a property that has returned different values. */
    private boolean asks(Candidate candidate) {
        return CallNames.asks(candidate.signature())
                || CallNames.mayNameProperty(candidate.signature())
                        && answers.getOrDefault(candidate.method(), Set.of()).size() > 1;
    }

    /** The methods, by type, whose answer no test checks: there, verifying the call is the only check. */
    private static Set<String> gaps(@Nullable JournalChallenge challenge) {
        Set<String> gaps = new HashSet<>();
        Set<String> noticed = new HashSet<>();
        for (JournalChallenge.Place place :
                challenge == null ? List.<JournalChallenge.Place>of() : challenge.places()) {
            String method = place.type() + "." + place.signature();
            if (place.change().equals("answer") && place.found().equals(JournalChallenge.NOTICED)) {
                noticed.add(method);
            } else if (place.change().equals("answer") && place.found().equals(JournalChallenge.GAP)) {
                gaps.add(method);
            }
        }
        gaps.removeAll(noticed);
        return gaps;
    }
}
