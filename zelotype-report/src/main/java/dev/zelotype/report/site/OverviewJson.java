package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.coverage.Coverage;
import dev.zelotype.report.coverage.CoverageTable;
import dev.zelotype.report.site.Overview.Entry;
import java.io.IOException;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The overview in the form that the page reads.
 */
final class OverviewJson {

    private final JsonGenerator out;
    private final Overview overview;
    private final List<Map<String, Number>> reports;

    OverviewJson(JsonGenerator out, Overview overview, List<Map<String, Number>> reports) {
        this.out = out;
        this.overview = overview;
        this.reports = reports;
    }

    void write(String title, int perFile) throws IOException {
        Map<Advice, List<Integer>> advice = overview.advice();
        Map<Integer, Integer> advised = new HashMap<>();
        advice.values().forEach(tests -> tests.forEach(test -> advised.merge(test, 1, Integer::sum)));
        out.writeStartObject();
        out.writeStringField("title", title);
        out.writeNumberField("perFile", perFile);
        outcomes();
        tests(advised);
        calls();
        coverage();
        claims();
        history();
        JournalChallenge challenge = overview.challenge();
        if (challenge != null) {
            challenge(challenge);
        }
        found("defaulted", overview.defaulted);
        found("unused", overview.unused);
        advice(advice);
        out.writeEndObject();
    }

    private void outcomes() throws IOException {
        out.writeObjectFieldStart("outcomes");
        Map<JournalScene.Outcome, Integer> outcomes = new EnumMap<>(JournalScene.Outcome.class);
        overview.entries.forEach(entry -> outcomes.merge(entry.outcome(), 1, Integer::sum));
        for (JournalScene.Outcome outcome : JournalScene.Outcome.values()) {
            out.writeNumberField(outcome.word(), outcomes.getOrDefault(outcome, 0));
        }
        out.writeEndObject();
    }

    private void tests(Map<Integer, Integer> advised) throws IOException {
        out.writeArrayFieldStart("tests");
        for (int number = 0; number < overview.entries.size(); number++) {
            Entry entry = overview.entries.get(number);
            out.writeStartArray();
            out.writeString(entry.group());
            out.writeString(entry.title());
            out.writeString(entry.outcome().word());
            out.writeNumber(entry.calls());
            out.writeNumber(advised.getOrDefault(number, 0));
            out.writeString(entry.failure());
            out.writeString(entry.test());
            out.writeEndArray();
        }
        out.writeEndArray();
    }

    private void calls() throws IOException {
        out.writeArrayFieldStart("calls");
        for (Map.Entry<String, Integer> each : overview.calls.entrySet()) {
            out.writeStartArray();
            out.writeString(each.getKey());
            out.writeNumber(each.getValue());
            out.writeEndArray();
        }
        out.writeEndArray();
    }

    private void coverage() throws IOException {
        out.writeArrayFieldStart("coverage");
        for (Coverage.Row row : overview.coverage.rows(Coverage.Order.NAME)) {
            out.writeRawValue(CoverageTable.json(row));
        }
        out.writeEndArray();
    }

    private void claims() throws IOException {
        out.writeArrayFieldStart("claims");
        for (JournalClaim claim : overview.claims) {
            out.writeStartObject();
            out.writeStringField("type", claim.type());
            out.writeStringField("text", claim.text());
            out.writeStringField("real", claim.real());
            out.writeStringField("place", claim.place());
            out.writeStringField("failure", claim.failure());
            tests(overview.relyingOn(claim));
            out.writeEndObject();
        }
        out.writeEndArray();
    }

    private void history() throws IOException {
        out.writeArrayFieldStart("history");
        for (Map<String, Number> report : reports) {
            History.write(out, report);
        }
        out.writeEndArray();
    }

    private void advice(Map<Advice, List<Integer>> advice) throws IOException {
        out.writeArrayFieldStart("advice");
        for (Map.Entry<Advice, List<Integer>> each : advice.entrySet()) {
            Advice given = each.getKey();
            out.writeStartObject();
            out.writeStringField("title", given.rule().title());
            out.writeStringField("reason", given.rule().reason());
            out.writeStringField("place", given.place());
            out.writeStringField("statement", given.statement());
            out.writeStringField("milder", given.milder());
            Found found = new Found();
            each.getValue().forEach(found::in);
            tests(found);
            out.writeEndObject();
        }
        out.writeEndArray();
    }

    /** Everything except noticed disturbances, which are only counted. */
    private void challenge(JournalChallenge challenge) throws IOException {
        out.writeObjectFieldStart("challenge");
        out.writeNumberField("runs", challenge.runs());
        out.writeBooleanField("complete", challenge.complete());
        out.writeNumberField("noticed", challenge.count(JournalChallenge.NOTICED));
        out.writeNumberField("gaps", challenge.count(JournalChallenge.GAP));
        out.writeArrayFieldStart("tests");
        for (JournalChallenge.Tested test : challenge.tests()) {
            out.writeStartArray();
            out.writeString(test.name());
            out.writeNumber(test.noticed());
            out.writeNumber(test.unnoticed());
            out.writeNumber(test.unclear());
            out.writeEndArray();
        }
        out.writeEndArray();
        out.writeArrayFieldStart("places");
        for (JournalChallenge.Place place : challenge.places()) {
            if (place.found().equals(JournalChallenge.NOTICED)) {
                continue;
            }
            out.writeStartObject();
            out.writeStringField("found", place.found());
            out.writeStringField("change", place.change());
            out.writeStringField("to", place.receiver());
            out.writeStringField("place", place.place());
            out.writeStringField("text", place.sentence());
            out.writeStringField("write", place.statement());
            out.writeArrayFieldStart("tests");
            for (String test : place.tests()) {
                out.writeString(test);
            }
            out.writeEndArray();
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    private void found(String name, Map<String, Found> all) throws IOException {
        out.writeArrayFieldStart(name);
        for (Map.Entry<String, Found> each : all.entrySet()) {
            out.writeStartObject();
            out.writeStringField("text", each.getKey());
            if (!each.getValue().type.isEmpty()) {
                out.writeStringField("type", each.getValue().type);
            }
            if (!each.getValue().closest.isEmpty()) {
                out.writeStringField("closest", each.getValue().closest);
            }
            tests(each.getValue());
            out.writeEndObject();
        }
        out.writeEndArray();
    }

    private void tests(Found found) throws IOException {
        out.writeNumberField("times", found.times);
        out.writeArrayFieldStart("tests");
        for (int test : found.tests) {
            out.writeNumber(test);
        }
        out.writeEndArray();
    }
}
