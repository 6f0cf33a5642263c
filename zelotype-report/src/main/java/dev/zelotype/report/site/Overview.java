package dev.zelotype.report.site;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.coverage.Coverage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The data of a site about all tests; its size is bounded by the number of tests, not by that of their calls.
 */
final class Overview {

    final Coverage coverage = new Coverage();
    final List<Entry> entries = new ArrayList<>();
    /** How often doubles of each type were called. */
    final Map<String, Integer> calls = new TreeMap<>();

    final Map<String, Found> defaulted = new TreeMap<>();
    final Map<String, Found> unused = new TreeMap<>();
    final List<JournalClaim> claims = new ArrayList<>();
    /** The tests that use a supposition, by its place and method: claims are suppositions as well. */
    final Map<String, Found> relying = new HashMap<>();

    private final Adviser adviser = new Adviser();
    private @Nullable JournalChallenge challenge;

    /** The data about a test. */
    record Entry(String test, String title, String group, JournalScene.Outcome outcome, String failure, int calls) {}

    void add(JournalScene scene) {
        int number = entries.size();
        coverage.add(scene);
        Conversation conversation = scene.conversation();
        adviser.add(number, scene);
        conversation
                .notes()
                .forEach(note ->
                        unused.computeIfAbsent(note, first -> new Found()).in(number));
        Map<String, String> typeOf = conversation.typesOfDoubles();
        for (RecordedCall call : conversation.calls()) {
            String type = typeOf.getOrDefault(call.receiver(), call.receiver());
            calls.merge(type, 1, Integer::sum);
            if (call.ending() == Ending.DEFAULTED && !call.answer().isEmpty()) {
                Found found = defaulted.computeIfAbsent(
                        type + "." + call.signature() + " = " + call.answer(), first -> new Found());
                found.in(number);
                found.type = type;
                found.suppose(conversation, call);
            }
        }
        for (TestStatement statement : conversation.statements()) {
            if (statement.verb() == Verb.SUPPOSED && statement.found() > 0) {
                relying.computeIfAbsent(statement.place() + " " + statement.signature(), first -> new Found())
                        .in(number);
            }
        }
        entries.add(new Entry(
                scene.test(),
                scene.title(),
                scene.group(),
                scene.outcome(),
                scene.failure(),
                conversation.calls().size()));
    }

    /** The tests that rely on a claim. */
    Found relyingOn(JournalClaim claim) {
        return relying.getOrDefault(claim.place() + " " + claim.signature(), new Found());
    }

    void add(JournalClaim claim) {
        coverage.add(claim);
        claims.add(claim);
    }

    /** If there are several challenges, the last one counts. */
    void add(JournalChallenge found) {
        challenge = found;
    }

    @Nullable
    JournalChallenge challenge() {
        return challenge;
    }

    /** Advice, with the tests that it applies to. */
    Map<Advice, List<Integer>> advice() {
        return adviser.advice(challenge);
    }

    /** Figures to compare with later reports; a share of nothing is omitted, because it would look good. */
    Map<String, Number> figures() {
        Map<String, Number> figures = new LinkedHashMap<>();
        List<Coverage.Row> own = Coverage.own(coverage.rows(Coverage.Order.NAME));
        figures.put("seconds", System.currentTimeMillis() / 1000);
        figures.put("tests", entries.size());
        figures.put(
                "failed",
                entries.stream()
                        .filter(entry -> entry.outcome() == JournalScene.Outcome.FAILED)
                        .count());
        figures.put(
                "defaulted",
                defaulted.values().stream().mapToInt(each -> each.times).sum());
        if (!own.isEmpty()) {
            figures.put("covered", Math.round(Coverage.percent(own)));
        }
        long noticed = challenge == null ? 0 : challenge.count(JournalChallenge.NOTICED);
        long gaps = challenge == null ? 0 : challenge.count(JournalChallenge.GAP);
        if (noticed + gaps > 0) {
            figures.put("noticed", Math.round(100.0 * noticed / (noticed + gaps)));
        }
        return figures;
    }

    /** For readers without scripts: the tests by name. */
    List<Map<String, Object>> firstTests(int most) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Entry entry : entries.subList(0, Math.min(most, entries.size()))) {
            rows.add(Map.of(
                    "group",
                    entry.group(),
                    "title",
                    entry.title(),
                    "outcome",
                    entry.outcome().word(),
                    "calls",
                    entry.calls()));
        }
        return rows;
    }
}
