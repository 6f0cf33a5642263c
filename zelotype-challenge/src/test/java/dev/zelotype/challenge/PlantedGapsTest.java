package dev.zelotype.challenge;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Subjects of eight shapes with values of ten types, each with its own test. With all checks nothing is found; if
 * one check is removed from each test, each gap is reported.
 */
class PlantedGapsTest {

    /** The maximum share of wrongly reported places, in percent. */
    private static final double MOST_FALSE_ALARMS = 1;

    /** Known false alarms in complete tests, each reviewed; there are none. */
    private static final List<String> FALSE_ALARMS = List.of();

    @TempDir
    private Path folder;

    /** A type, and a value of it. */
    private static final Map<String, String> VALUES = new LinkedHashMap<>();

    static {
        VALUES.put("Integer", "40");
        VALUES.put("Long", "40L");
        VALUES.put("Double", "2.5");
        VALUES.put("Boolean", "true");
        VALUES.put("String", "\"rain\"");
        VALUES.put("java.time.Duration", "java.time.Duration.ofSeconds(9)");
        VALUES.put("java.util.List<String>", "java.util.List.of(\"north\")");
        VALUES.put("java.util.Optional<String>", "java.util.Optional.of(\"north\")");
        VALUES.put("Sky", "Sky.CLEAR");
        VALUES.put("Frame", "new Frame(3, \"raw\")");
    }

    /**
     * A shape of a subject and its test.
     *
     * @param subject what the subject does with its source and its sink
     * @param told the statements before the subject runs
     * @param checks the checks
     * @param left the checks that remain if one is removed
     * @param kind the kind of change that is then missed
     * @param method its method
     */
    private record Shape(String subject, String told, String checks, String left, ChangeKind kind, String method) {}

    private static final Map<String, Shape> SHAPES = new LinkedHashMap<>();

    static {
        String put = "verify(() -> sink.put(VALUE)).once();";
        String value = "suppose(source::value).returns(VALUE);";
        SHAPES.put("Lost", new Shape("sink.put(VALUE); return null;", "", put, "", ChangeKind.LOST, "put"));
        SHAPES.put(
                "Argument",
                new Shape(
                        "sink.put(VALUE); return null;",
                        "",
                        put,
                        "verify(sink::put).once();",
                        ChangeKind.ARGUMENT,
                        "put"));
        SHAPES.put(
                "Answer",
                new Shape(
                        "return source.value();",
                        value,
                        "assertThat(result).isEqualTo(VALUE);",
                        "",
                        ChangeKind.ANSWER,
                        "value"));
        SHAPES.put(
                "PassedOn",
                new Shape(
                        "sink.put(source.value()); return null;",
                        value,
                        put,
                        "verify(sink::put).once();",
                        ChangeKind.ANSWER,
                        "value"));
        SHAPES.put(
                "CalledBack",
                new Shape(
                        "source.ask(given -> sink.put(given)); return null;",
                        "suppose(source::ask).does(done -> done.accept(VALUE));",
                        put + " verify(source::ask).once();",
                        "verify(source::ask).once();",
                        ChangeKind.CALLBACK,
                        "ask"));
        SHAPES.put(
                "Branch",
                new Shape(
                        "if (sink.isOpen()) { sink.put(VALUE); } else { sink.done(); } return null;",
                        "suppose(sink::isOpen).returns(true);",
                        put + " verify(sink::done).never();",
                        "verify(sink::done).never();",
                        ChangeKind.LOST,
                        "put"));
        SHAPES.put(
                "Loop",
                new Shape(
                        "for (int i = 0; i < 3; i++) { sink.put(VALUE); } return null;",
                        "",
                        "verify(() -> sink.put(VALUE)).times(3);",
                        "verify(() -> sink.put(VALUE)).atLeast(1);",
                        ChangeKind.LOST,
                        "put"));
        SHAPES.put(
                "Second",
                new Shape(
                        "sink.put(VALUE); sink.done(); return null;",
                        "",
                        put + " verify(sink::done).once();",
                        put,
                        ChangeKind.LOST,
                        "done"));
    }

    private String write(String name, Shape shape, String type, boolean whole) throws IOException {
        String code = """
                package planted;
                import static dev.zelotype.Zelotype.*;
                import static org.assertj.core.api.Assertions.assertThat;
                import planted.NAMESubject.*;
                @dev.zelotype.junit.WithDoubles
                class NAMETest {
                    Source source = stub(Source.class);
                    Sink sink = stub(Sink.class);
                    @org.junit.jupiter.api.Test
                    void it_does() {
                        TOLD
                        TYPE result = new NAMESubject().run(source, sink);
                        CHECKS
                    }
                }
                class NAMESubject {
                    enum Sky { CLEAR, CLOUDED }
                    record Frame(int number, String form) { }
                    interface Source { TYPE value(); void ask(java.util.function.Consumer<TYPE> done); }
                    interface Sink { void put(TYPE it); boolean isOpen(); void done(); }
                    TYPE run(Source source, Sink sink) {
                        SUBJECT
                    }
                }
                """.replace("SUBJECT", shape.subject())
                .replace("TOLD", shape.told())
                .replace("CHECKS", whole ? shape.checks() : shape.left())
                .replace("NAME", name)
                .replace("TYPE", type)
                .replace("VALUE", VALUES.get(type));
        return Files.writeString(folder.resolve(name + ".java"), code).toString();
    }

    /** Writes and compiles a test for each shape and type, and challenges them all. */
    private ChallengeResult challenged(boolean whole) throws IOException {
        List<String> files = new ArrayList<>();
        for (Map.Entry<String, Shape> shape : SHAPES.entrySet()) {
            int number = 0;
            for (String type : VALUES.keySet()) {
                files.add(write(shape.getKey() + number++, shape.getValue(), type, whole));
            }
        }
        ChallengeResult result = challenged(files);
        assertThat(result.tests()).hasSize(SHAPES.size() * VALUES.size());
        return result;
    }

    private ChallengeResult challenged(List<String> files) {
        ChallengeResult result = Fixtures.planted(folder, files).run((done, all) -> {});
        assertThat(result.leftOut()).isEmpty();
        return result;
    }

    @Test
    void each_check_that_is_taken_away_is_named() throws IOException {
        ChallengeResult result = challenged(false);
        List<String> missed = new ArrayList<>();
        for (Map.Entry<String, Shape> shape : SHAPES.entrySet()) {
            for (int number = 0; number < VALUES.size(); number++) {
                String name = shape.getKey() + number + ".java";
                boolean named = result.findings().stream()
                        .anyMatch(finding -> finding.weight() == Finding.Weight.GAP
                                && finding.kind() == shape.getValue().kind()
                                && finding.site()
                                        .signature()
                                        .startsWith(shape.getValue().method() + "(")
                                && finding.site().place().startsWith(name));
                if (!named) {
                    missed.add(name);
                }
            }
        }
        assertThat(result.findings())
                .filteredOn(finding -> finding.kind() == ChangeKind.LOST || finding.kind() == ChangeKind.ARGUMENT)
                .filteredOn(finding -> finding.weight() == Finding.Weight.GAP)
                .as("each has a statement that was tried")
                .extracting(Finding::statement)
                .allMatch(statement -> statement.contains("verify(") && statement.endsWith(";"));
        assertThat(missed)
                .as(() -> String.join("\n", ChallengeText.lines(result)))
                .isEmpty();
    }

    @Test
    void of_tests_that_check_everything_hardly_any_is_named() throws IOException {
        ChallengeResult result = challenged(true);
        List<String> alarms = result.findings().stream()
                .filter(finding -> finding.weight() == Finding.Weight.GAP)
                .map(Finding::sentence)
                .toList();
        assertThat(alarms).isEqualTo(FALSE_ALARMS);
        assertThat(100.0 * alarms.size() / (result.noticed() + result.gaps())).isLessThanOrEqualTo(MOST_FALSE_ALARMS);
    }

    @Test
    void what_a_test_class_says_nobody_needs_to_check_is_left_alone() throws IOException {
        Shape lost = SHAPES.get("Lost");
        for (String said : List.of("Sink.put", "*Subject$Sink.p*", "Source.value")) {
            Shape meant =
                    new Shape(lost.subject(), lost.told(), lost.checks(), lost.left(), lost.kind(), lost.method());
            String file = write("Meant0", lost, "String", false);
            Files.writeString(
                    Path.of(file),
                    Files.readString(Path.of(file))
                            .replace("WithDoubles\n", "WithDoubles(unchallenged = \"" + said + "\")\n")
                            .replace("sink.put(\"rain\");", "sink.put(\"rain\"); sink.isOpen();"));
            ChallengeResult result = challenged(List.of(file));
            assertThat(result.findings())
                    .extracting(finding -> finding.site().signature())
                    .isEqualTo(said.equals("Source.value") ? List.of("put(String)", "isOpen()") : List.of("isOpen()"));
        }
    }

    @Test
    void what_is_masked_in_the_tests_is_masked_in_what_is_found() throws IOException {
        Files.writeString(folder.resolve("junit-platform.properties"), "zelotype.mask=rain|north");
        List<String> files = new ArrayList<>();
        for (String shape : SHAPES.keySet()) {
            files.add(write(shape + "Hidden", SHAPES.get(shape), "String", false));
        }
        ChallengeResult result = challenged(files);
        assertThat(result.gaps()).isGreaterThanOrEqualTo(SHAPES.size());
        assertThat(ChallengeText.lines(result))
                .noneMatch(line -> line.contains("rain"))
                .anyMatch(line -> line.contains("***"));
    }
}
