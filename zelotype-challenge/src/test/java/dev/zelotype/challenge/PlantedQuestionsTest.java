package dev.zelotype.challenge;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Questions are asked where only the author of a test can decide, calls that are rarely checked are listed separately,
 * and a test that covers the change has no findings.
 */
class PlantedQuestionsTest {

    /**
     * A subject, its test, and the expected finding.
     *
     * @param subject what the subject does with its collaborators
     * @param test what the test does before and after
     * @param covered what it does if there must be no findings
     * @param statement the beginning of the proposed statement; empty for none
     */
    private record Row(
            String name,
            String subject,
            String test,
            String covered,
            Weight weight,
            ChangeKind kind,
            String method,
            String statement) {}

    private static final String STAMP = "verify(() -> sink.put(new Parcel(3, \"raw\"))).once();";

    private static final List<Row> ROWS = List.of(
            new Row(
                    "Swallowed",
                    "try { sink.done(); } catch (RuntimeException e) { return; }",
                    "subject.run(); verify(sink::done).once();",
                    "suppose(sink::done).fails(new IllegalStateException()); subject.run(); verify(sink::done).once();",
                    Weight.QUESTION,
                    ChangeKind.THROWN,
                    "done",
                    ""),
            new Row(
                    "Waiting",
                    "source.later().thenAccept(it -> sink.done());",
                    "suppose(source::later).returns(CompletableFuture.completedFuture(\"a\")); subject.run();",
                    "suppose(source::later).returns(CompletableFuture.completedFuture(\"a\")); subject.run();"
                            + " verify(sink::done).once();",
                    Weight.QUESTION,
                    ChangeKind.SILENT,
                    "later",
                    ""),
            new Row(
                    "NotRun",
                    "source.ask(it -> sink.done());",
                    "subject.run(); verify(source::ask).once();",
                    "suppose(source::ask).does(done -> done.accept(\"a\")); subject.run(); verify(source::ask).once();"
                            + " verify(sink::done).once();",
                    Weight.QUESTION,
                    ChangeKind.CALLBACK,
                    "ask",
                    ""),
            new Row(
                    "Part",
                    "sink.put(new Parcel(3, \"raw\"));",
                    "subject.run(); verify(sink::put).where(it -> it.number() == 3).once();",
                    "subject.run(); " + STAMP,
                    Weight.QUESTION,
                    ChangeKind.ARGUMENT,
                    "put",
                    "verify(() -> sink.put(new PartSubject.Parcel(3, \"raw\"))).once();"),
            new Row(
                    "Kept",
                    "sink.save(\"a\");",
                    "suppose(sink::save).returns(true); subject.run();",
                    "suppose(sink::save).returns(true); subject.run(); verify(() -> sink.save(\"a\")).once();",
                    Weight.GAP,
                    ChangeKind.LOST,
                    "save",
                    "verify(() -> sink.save(\"a\")).once();"),
            new Row(
                    "Used",
                    "if (sink.save(\"a\")) { return; }",
                    "suppose(sink::save).returns(true); subject.run();",
                    "suppose(sink::save).returns(true); subject.run(); verify(() -> sink.save(\"a\")).once();",
                    Weight.GAP,
                    ChangeKind.LOST,
                    "save",
                    "verify(() -> sink.save(\"a\")).once();"),
            new Row(
                    "Counting",
                    "metrics.count(\"parcels\");",
                    "subject.run();",
                    "subject.run(); verify(() -> metrics.count(\"parcels\")).once();",
                    Weight.MINOR,
                    ChangeKind.LOST,
                    "count",
                    "verify(() -> metrics.count(\"parcels\")).once();"),
            new Row(
                    "Exchanged",
                    "sink.done(); source.close();",
                    "subject.run(); verify(sink::done).once(); verify(source::close).once();",
                    "subject.run(); inThisOrder(() -> { verify(sink::done).once(); verify(source::close).once(); });",
                    Weight.QUESTION,
                    ChangeKind.ORDER,
                    "done",
                    "inThisOrder(() -> {"),
            new Row(
                    "Idle",
                    "if (source.open()) { sink.done(); }",
                    "suppose(source::open).returns(true); subject.run(); verify(sink::done).once(); } "
                            + "@org.junit.jupiter.api.Test void it_does_not() { suppose(source::open).returns(false);"
                            + " subject.run();",
                    "suppose(source::open).returns(true); subject.run(); verify(sink::done).once(); } "
                            + "@org.junit.jupiter.api.Test void it_does_not() { suppose(source::open).returns(false);"
                            + " subject.run(); verify(sink::done).never();",
                    Weight.QUESTION,
                    ChangeKind.EXTRA,
                    "done",
                    "verify(sink::done).never();"),
            new Row(
                    "Silent",
                    "if (on) { sink.done(); }",
                    "subject.on = true; subject.run(); verify(sink::done).once(); } "
                            + "@org.junit.jupiter.api.Test void it_does_not() { subject.run();",
                    "subject.on = true; subject.run(); verify(sink::done).once(); } "
                            + "@org.junit.jupiter.api.Test void it_does_not() { subject.run(); verifyUntouched(sink);",
                    Weight.QUESTION,
                    ChangeKind.EXTRA,
                    "done",
                    "verify(sink::done).never();"));

    @TempDir
    private Path folder;

    private ChallengeResult challenged(boolean covered) throws IOException {
        List<String> files = new ArrayList<>();
        for (Row row : ROWS) {
            String code = """
                    package planted;
                    import static dev.zelotype.Zelotype.*;
                    import java.util.concurrent.CompletableFuture;
                    import planted.NAMESubject.*;
                    @dev.zelotype.junit.WithDoubles
                    class NAMETest {
                        Source source = stub(Source.class);
                        Sink sink = stub(Sink.class);
                        Metrics metrics = stub(Metrics.class);
                        NAMESubject subject = new NAMESubject(source, sink, metrics);
                        @org.junit.jupiter.api.Test
                        void it_does() {
                            TEST
                        }
                    }
                    class NAMESubject {
                        record Parcel(int number, String form) { }
                        interface Source {
                            boolean open();
                            CompletableFuture<String> later();
                            void ask(java.util.function.Consumer<String> done);
                            void close();
                        }
                        interface Sink { void put(Parcel it); boolean save(String it); void done(); }
                        interface Metrics { void count(String name); }
                        boolean on;
                        private final Source source;
                        private final Sink sink;
                        private final Metrics metrics;
                        NAMESubject(Source source, Sink sink, Metrics metrics) {
                            this.source = source;
                            this.sink = sink;
                            this.metrics = metrics;
                        }
                        void run() {
                            SUBJECT
                        }
                    }
                    """.replace("SUBJECT", row.subject())
                    .replace("TEST", covered ? row.covered() : row.test())
                    .replace("NAME", row.name());
            files.add(Files.writeString(folder.resolve(row.name() + ".java"), code)
                    .toString());
        }
        return Fixtures.planted(folder, files)
                .changes(EnumSet.allOf(ChangeKind.class))
                .run((done, all) -> {});
    }

    private static Stream<Finding> of(Row row, ChallengeResult result) {
        return result.findings().stream()
                .filter(finding -> finding.weight() == row.weight() && finding.kind() == row.kind())
                .filter(finding -> finding.site().signature().startsWith(row.method() + "("))
                .filter(finding -> finding.site().place().startsWith(row.name() + ".java"));
    }

    @Test
    void what_no_test_covers_is_asked_about() throws IOException {
        ChallengeResult result = challenged(false);

        assertThat(ROWS)
                .allSatisfy(row -> assertThat(of(row, result))
                        .as(() -> row.name() + "\n" + String.join("\n", ChallengeText.lines(result)))
                        .anySatisfy(finding -> {
                            if (row.statement().isEmpty()) {
                                assertThat(finding.statement()).isEmpty();
                            } else {
                                assertThat(finding.statement()).startsWith(row.statement());
                            }
                        }));
        assertThat(result.noticedPlaces()).noneMatch(place -> place.kind().isQuestion());
    }

    @Test
    void what_a_test_covers_is_not_asked_about() throws IOException {
        ChallengeResult result = challenged(true);

        assertThat(ROWS)
                .allSatisfy(row -> assertThat(of(row, result))
                        .as(() -> row.name() + "\n" + String.join("\n", ChallengeText.lines(result)))
                        .isEmpty());
    }

    private static final List<String> IRRELEVANT = List.of(
            "Logger",
            "OrderLogger",
            "RequestLogging",
            "Log",
            "Metrics",
            "OrderMetrics",
            "LatencyMetric",
            "MetricRegistry",
            "MeterRegistry",
            "Meter",
            "Telemetry",
            "Tracer",
            "SpanTracer",
            "Auditor",
            "Audit",
            "SecurityAudit",
            "AuditLog",
            "LoginAuditLog",
            "AuditTrail",
            "Counter",
            "RequestCounters",
            "QueueGauge",
            "Gauges",
            "SizeHistogram",
            "Statistics",
            "CacheStats");

    /** Types with names similar to those of minor ones, whose calls do count. */
    private static final List<String> RELEVANT =
            List.of("Catalog", "Dialog", "Backlog", "Ledger", "Diameter", "Encounter", "Thermometer", "LogShipper");

    @Test
    void what_is_irrelevant_by_nature_is_told_apart() throws IOException {
        List<String> types =
                Stream.concat(IRRELEVANT.stream(), RELEVANT.stream()).toList();
        StringBuilder code = new StringBuilder("package planted;\nimport static dev.zelotype.Zelotype.*;\n"
                + "@dev.zelotype.junit.WithDoubles\nclass PlainTest {\n    @org.junit.jupiter.api.Test\n"
                + "    void it_does() {\n        PlainSubject subject = new PlainSubject();\n");
        types.forEach(each -> code.append("        subject.of")
                .append(each)
                .append(" = stub(PlainSubject.")
                .append(each)
                .append(".class);\n"));
        code.append("        subject.run();\n    }\n}\nclass PlainSubject {\n");
        types.forEach(each -> code.append("    interface ")
                .append(each)
                .append(" { void put(String it); }\n    ")
                .append(each)
                .append(" of")
                .append(each)
                .append(";\n"));
        code.append("    void run() {\n");
        types.forEach(each -> code.append("        of").append(each).append(".put(\"it\");\n"));
        code.append("    }\n}\n");
        String file = Files.writeString(folder.resolve("PlainTest.java"), code).toString();
        ChallengeResult result = Fixtures.planted(folder, List.of(file)).run((done, all) -> {});

        assertThat(result.findings())
                .filteredOn(finding -> finding.kind() == ChangeKind.LOST)
                .extracting(finding -> finding.site().simpleType() + " " + finding.weight())
                .containsExactlyInAnyOrderElementsOf(Stream.concat(
                                IRRELEVANT.stream().map(each -> each + " " + Weight.MINOR),
                                RELEVANT.stream().map(each -> each + " " + Weight.GAP))
                        .toList());
        assertThat(result.gaps()).as("what is irrelevant does not count").isEqualTo(RELEVANT.size());
    }
}
