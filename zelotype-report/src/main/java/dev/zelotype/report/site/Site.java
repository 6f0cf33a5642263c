package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.SerializableString;
import com.fasterxml.jackson.core.io.CharacterEscapes;
import com.fasterxml.jackson.core.io.SerializedString;
import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Ending;
import dev.zelotype.doubles.RecordedCall;
import dev.zelotype.doubles.TestStatement;
import dev.zelotype.doubles.Verb;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.report.coverage.Coverage;
import dev.zelotype.report.coverage.CoverageTable;
import dev.zelotype.report.story.Story;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: a site of static files that opens from a disk: the overview in one file, the stories in
 * files of a hundred, which the page fetches when one is looked at. Scenes are written as they come, so memory is
 * bounded by the number of tests and not by that of their calls. For one thread.
 *
 * <pre>{@code
 * try (Site site = new Site(folder, "Observatory")) {
 *     JournalReader.read(journal, site);
 *     Path page = site.finish();
 * }
 * }</pre>
 */
public final class Site implements JournalSink, AutoCloseable {

    private static final int SCENES_A_FILE = 100;
    private static final int EXAMPLES_KEPT = 5;
    private static final JsonFactory JSON = new JsonFactory();

    private final Path target;
    private final Sources sources;
    private final SiteFolder folder;
    private final String title;
    private final Coverage coverage = new Coverage();
    private final List<Entry> entries = new ArrayList<>();
    private final Map<String, long[]> calls = new TreeMap<>();
    private final Map<String, Found> defaulted = new TreeMap<>();
    private final History history;
    private final Map<String, Found> unused = new TreeMap<>();
    private final Adviser adviser = new Adviser();
    private final List<JournalClaim> claims = new ArrayList<>();
    private final List<Story> waiting = new ArrayList<>();
    private @Nullable JournalChallenge challenge;
    private int files;

    /** What the overview knows of a test. */
    private record Entry(
            String test, String title, String group, JournalScene.Outcome outcome, String failure, int calls) {}

    /** How often something was found, and in which tests, of which some are kept. */
    private static final class Found {
        private int times;
        private final Set<Integer> tests = new LinkedHashSet<>();
        private String type = "";
        /** What a test supposed of the same method, though of other calls. */
        private String closest = "";

        void suppose(Conversation conversation, RecordedCall call) {
            for (TestStatement statement : conversation.statements()) {
                boolean ofMethod = statement.verb() == Verb.SUPPOSED
                        && statement.receiver().equals(call.receiver())
                        && statement.signature().equals(call.signature());
                if (ofMethod && closest.isEmpty()) {
                    closest = statement.text() + " at " + statement.place() + ", but " + call.receiver() + "."
                            + call.text() + " came";
                }
            }
        }

        void in(int test) {
            times++;
            if (tests.size() < EXAMPLES_KEPT) {
                tests.add(test);
            }
        }
    }

    /** Keeps what a browser could take for the end of a script from standing in one. */
    private static final class ScriptSafe extends CharacterEscapes {

        private static final long serialVersionUID = 1L;
        private final int[] ascii = standardAsciiEscapesForJSON();

        ScriptSafe() {
            for (char c : new char[] {'<', '>', '&', '\''}) {
                ascii[c] = ESCAPE_CUSTOM;
            }
        }

        @Override
        public int[] getEscapeCodesForAscii() {
            return ascii.clone();
        }

        @Override
        public SerializableString getEscapeSequence(int c) {
            boolean special = c < 128 || c == '\u2028' || c == '\u2029';
            return special ? new SerializedString(String.format("\\u%04x", c)) : null;
        }
    }

    /**
     * Starts a site.
     *
     * @param folder where it goes; an earlier site there is replaced when this one is finished
     * @param title what the page is called
     * @throws ReportException if the folder holds anything else, or cannot be written to
     */
    public Site(Path folder, String title) {
        this(folder, title, Sources.NONE);
    }

    /**
     * Starts a site that shows the lines at which calls were made.
     *
     * @param folder where it goes; an earlier site there is replaced when this one is finished
     * @param title what the page is called
     * @param sources where the lines are found
     * @throws ReportException if the folder holds anything else, or cannot be written to
     */
    public Site(Path folder, String title, Sources sources) {
        this.sources = sources;
        this.target = folder;
        this.folder = new SiteFolder(folder);
        this.title = title;
        this.history = new History(this.folder.earlier(History.FILE));
    }

    /**
     * Adds a test.
     *
     * @param scene the test
     */
    @Override
    public void add(JournalScene scene) {
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
            calls.computeIfAbsent(type, first -> new long[1])[0]++;
            if (call.ending() == Ending.DEFAULTED && !call.answer().isEmpty()) {
                Found found = defaulted.computeIfAbsent(
                        type + "." + call.signature() + " = " + call.answer(), first -> new Found());
                found.in(number);
                found.type = type;
                found.suppose(conversation, call);
            }
        }
        entries.add(new Entry(
                scene.test(),
                scene.title(),
                scene.group(),
                scene.outcome(),
                scene.failure(),
                conversation.calls().size()));
        waiting.add(Story.of(scene).folded());
        if (waiting.size() == SCENES_A_FILE) {
            writeWaiting();
        }
    }

    /**
     * Adds a claim that was held against a real object.
     *
     * @param claim the claim
     */
    @Override
    public void add(JournalClaim claim) {
        coverage.add(claim);
        claims.add(claim);
    }

    /**
     * Adds what a challenge of the tests has found; of several, the last counts.
     *
     * @param found the findings
     */
    @Override
    public void add(JournalChallenge found) {
        challenge = found;
    }

    private void writeWaiting() {
        script("data/stories-" + files + ".js", "zelotype.stories(" + files + ", ", out -> {
            out.writeStartArray();
            for (Story story : waiting) {
                StoryJson.write(out, story, sources);
            }
            out.writeEndArray();
        });
        files++;
        waiting.clear();
    }

    /**
     * Writes what is left, and the pages.
     *
     * @return the page to open
     */
    public Path finish() {
        if (!waiting.isEmpty()) {
            writeWaiting();
        }
        history.add(figures());
        folder.write(History.FILE, out -> {
            for (Map<String, Number> report : history.reports()) {
                JsonGenerator json = generator(out);
                json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
                History.write(json, report);
                json.close();
                out.write('\n');
            }
        });
        script("data/overview.js", "zelotype.overview(", this::overview);
        for (String name : List.of("style.css", "story.js", "site.js")) {
            folder.write(name, out -> out.write(Assets.text(name)));
        }
        folder.write("chart.js", out -> out.write(Assets.chartLibrary()));
        Map<String, Object> values = Map.of("title", title, "tests", entries.size(), "rows", firstTests());
        folder.write("index.html", out -> Assets.page("index.html", values, out));
        folder.finish();
        return target.resolve("index.html");
    }

    /** What is worth comparing with later reports. */
    private Map<String, Number> figures() {
        Map<String, Number> figures = new LinkedHashMap<>();
        List<Coverage.Row> own = Coverage.own(coverage.rows(Coverage.Sort.NAME));
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
        figures.put("covered", Math.round(Coverage.percent(own)));
        if (challenge != null) {
            long noticed = challenge.count(JournalChallenge.NOTICED);
            long all = noticed + challenge.count(JournalChallenge.GAP);
            figures.put("noticed", all == 0 ? 100 : Math.round(100.0 * noticed / all));
        }
        return figures;
    }

    /** Removes what was written so far, unless the site is finished. */
    @Override
    public void close() {
        folder.abandon();
    }

    /** For readers without scripts: the tests by name. */
    private List<Map<String, Object>> firstTests() {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Entry entry : entries.subList(0, Math.min(SCENES_A_FILE, entries.size()))) {
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

    /**
     * Writes a page of its own for one story, which needs no other file.
     *
     * @param story the story
     * @param to where to write it, as HTML; not closed
     * @throws IOException if it cannot be written
     */
    public static void storyPage(Story story, Writer to) throws IOException {
        storyPage(story, Sources.NONE, to);
    }

    /**
     * As {@link #storyPage(Story, Writer)}, with the lines at which calls were made.
     *
     * @param story the story
     * @param sources where the lines are found
     * @param to where to write it, as HTML; not closed
     * @throws IOException if it cannot be written
     */
    public static void storyPage(Story story, Sources sources, Writer to) throws IOException {
        String style = Assets.text("style.css");
        String script = Assets.text("story.js");
        Assets.page(
                "story.html",
                Map.of(
                        "title",
                        story.title(),
                        "style",
                        style,
                        "styleHash",
                        Assets.hash(style),
                        "script",
                        script,
                        "scriptHash",
                        Assets.hash(script),
                        "data",
                        (Assets.Part) out -> {
                            JsonGenerator json = generator(out);
                            json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
                            StoryJson.write(json, story, sources);
                            json.close();
                        }),
                to);
    }

    private interface Content {
        void write(JsonGenerator out) throws IOException;
    }

    /** Data as a call, since pages that were opened from a disk may load scripts but no data. */
    private void script(String name, String call, Content content) {
        folder.write(name, out -> {
            out.write(call);
            JsonGenerator json = generator(out);
            json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
            content.write(json);
            json.close();
            out.write(");\n");
        });
    }

    private static JsonGenerator generator(Writer out) throws IOException {
        JsonGenerator json = JSON.createGenerator(out);
        json.setCharacterEscapes(new ScriptSafe());
        return json;
    }

    private void overview(JsonGenerator out) throws IOException {
        Map<Advice, List<Integer>> advice = adviser.advice(challenge);
        Map<Integer, Integer> advised = new HashMap<>();
        advice.values().forEach(tests -> tests.forEach(test -> advised.merge(test, 1, Integer::sum)));
        out.writeStartObject();
        out.writeStringField("title", title);
        out.writeNumberField("perFile", SCENES_A_FILE);
        out.writeObjectFieldStart("outcomes");
        Map<JournalScene.Outcome, Integer> outcomes = new EnumMap<>(JournalScene.Outcome.class);
        entries.forEach(entry -> outcomes.merge(entry.outcome(), 1, Integer::sum));
        for (JournalScene.Outcome outcome : JournalScene.Outcome.values()) {
            out.writeNumberField(outcome.word(), outcomes.getOrDefault(outcome, 0));
        }
        out.writeEndObject();
        out.writeArrayFieldStart("tests");
        for (int number = 0; number < entries.size(); number++) {
            Entry entry = entries.get(number);
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
        out.writeArrayFieldStart("calls");
        for (Map.Entry<String, long[]> each : calls.entrySet()) {
            out.writeStartArray();
            out.writeString(each.getKey());
            out.writeNumber(each.getValue()[0]);
            out.writeEndArray();
        }
        out.writeEndArray();
        out.writeArrayFieldStart("coverage");
        for (Coverage.Row row : coverage.rows(Coverage.Sort.NAME)) {
            out.writeRawValue(CoverageTable.json(row));
        }
        out.writeEndArray();
        out.writeArrayFieldStart("claims");
        for (JournalClaim claim : claims) {
            out.writeStartObject();
            out.writeStringField("type", claim.type());
            out.writeStringField("text", claim.text());
            out.writeStringField("real", claim.real());
            out.writeStringField("place", claim.place());
            out.writeStringField("failure", claim.failure());
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeArrayFieldStart("history");
        for (Map<String, Number> report : history.reports()) {
            History.write(out, report);
        }
        out.writeEndArray();
        if (challenge != null) {
            challenge(out, challenge);
        }
        found(out, "defaulted", defaulted);
        found(out, "unused", unused);
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
            tests(out, found);
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    /** All but what was noticed, of which the number will do. */
    private static void challenge(JsonGenerator out, JournalChallenge challenge) throws IOException {
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
            out.writeStringField("sort", place.sort());
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

    private static void found(JsonGenerator out, String name, Map<String, Found> all) throws IOException {
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
            tests(out, each.getValue());
            out.writeEndObject();
        }
        out.writeEndArray();
    }

    private static void tests(JsonGenerator out, Found found) throws IOException {
        out.writeNumberField("times", found.times);
        out.writeArrayFieldStart("tests");
        for (int test : found.tests) {
            out.writeNumber(test);
        }
        out.writeEndArray();
    }
}
