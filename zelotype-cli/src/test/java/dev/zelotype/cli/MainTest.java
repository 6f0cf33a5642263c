package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalWriter;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine.Help.Ansi;

class MainTest {

    @TempDir
    private Path temporary;

    private Path report;

    @BeforeEach
    void nowhere_yet() {
        report = temporary.resolve("report");
        // Tests never open a browser.
        System.setProperty("java.awt.headless", "true");
    }

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int zelotype(boolean terminal, String... arguments) {
        return zelotype(terminal, 100, arguments);
    }

    private int zelotype(boolean terminal, int width, String... arguments) {
        Terminal to = new Terminal(
                new PrintWriter(out, true),
                new PrintWriter(err, true),
                terminal ? Ansi.ON : Ansi.OFF,
                terminal,
                width,
                terminal);
        return Main.commandLine(to).execute(arguments);
    }

    @Test
    void the_demo_prints_each_conversation_for_a_hundred_columns() {
        assertThat(zelotype(false, "demo", "night-run", "--into", report.toString()))
                .isZero();
        assertThat(out.toString())
                .contains("ok a clear night opens slews exposes logs and parks\n")
                .contains("with weather (stub), dome (mock), mount (spy), camera (stub), catalog (stub), log (spy)\n")
                .containsPattern("\n   1  NightRun -> weather  humidity\\(\\) += 40 +NightRun\\.java:\\d+\n")
                .containsPattern(
                        " 5  NightRun -> camera   expose\\(PT1M30S, a lambda, a lambda\\) +NightRun\\.java:\\d+\n")
                .contains("= Optional.empty")
                .contains("\n4 passed, 0 failed\nreport: " + report.resolve("index.html") + "\n")
                .doesNotContain("\u001b");
        assertThat(out.toString().lines()).allMatch(line -> line.length() <= 100 || line.startsWith("report: "));
        assertThat(err.toString()).isEmpty();
        assertThat(report.resolve("data/stories-0.js")).content().contains("a clear night opens");
    }

    @Test
    void a_challenge_of_the_demo_finds_a_gap_and_the_statement_that_closes_it() {
        assertThat(zelotype(false, "demo", "--challenge", "--into", report.toString()))
                .isZero();
        assertThat(out.toString())
                .containsPattern("NightRunTest: a humid night keeps the dome closed +noticed 4 of 4\n")
                .containsPattern(
                        "camera\\.expose\\(.*\\)\\s+at dev\\.zelotype\\.examples\\.observatory\\.NightRun\\.\\w+"
                                + "\\(NightRun\\.java:\\d+\\)\\s+could\\s+be\\s+left\\s+out,"
                                + "\\s+and\\s+no\\s+test\\s+notices\\.\n"
                                + " +verify\\(camera::expose\\)\\.once\\(\\);\n")
                .containsPattern(
                        "\\d+ of \\d+ disturbed places noticed \\(\\d+\\.\\d %\\), in \\d+ runs of \\d tests\n");
        assertThat(report.resolve("data/overview.js"))
                .content()
                .contains("\"challenge\":{\"runs\":", "\"write\":\"verify(camera::expose).once();\"");
    }

    /** A challenge of one class of the examples. */
    private static String[] ofFocusSweep(String... options) {
        List<String> all = new ArrayList<>(List.of(
                "challenge",
                "--class-path",
                "../zelotype-examples/target/test-classes" + File.pathSeparator + System.getProperty("java.class.path"),
                "--class",
                "*.FocusSweepTest"));
        all.addAll(List.of(options));
        return all.toArray(new String[0]);
    }

    @Test
    void a_challenge_is_told_as_json_and_fails_under_the_share_asked_for() throws IOException {
        Path file = temporary.resolve("challenge.json");
        String[] challenge = ofFocusSweep("--format", "json", "--into", file.toString(), "--fail-under", "99.5");
        assertThat(zelotype(false, challenge)).isEqualTo(1);
        assertThat(err.toString()).contains(" % of the disturbed places are noticed, less than the 99.5 % asked for.");
        assertThat(file)
                .content()
                .contains("\"weight\" : \"gap\"")
                .contains("\"statement\" : \"verify((SerialLink it) -> it.send(\\\"FOCUS 0\\\")).once();\"")
                .contains("\"complete\" : true");
    }

    private static void assertIsSarif(Path file) throws IOException {
        JsonSchema schema;
        try (InputStream published = MainTest.class.getResourceAsStream("/schema/sarif-schema-2.1.0.json")) {
            schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V7).getSchema(published);
        }
        assertThat(schema.validate(Files.readString(file), InputFormat.JSON)).isEmpty();
        assertThat(schema.validate("{\"version\": \"2.1.0\"}", InputFormat.JSON))
                .as("the schema refuses something")
                .isNotEmpty();
    }

    @Test
    void findings_are_told_in_the_standard_that_code_hosts_take() throws IOException {
        Path file = temporary.resolve("gaps.sarif");
        String[] challenge = ofFocusSweep(
                "--change",
                "lost",
                "--jvms",
                "1",
                "--jvm-option=-Dany=thing",
                "--directory",
                temporary.toString(),
                "--sources",
                "../zelotype-examples/src/main/java",
                "--format",
                "sarif",
                "--into",
                file.toString());
        assertThat(zelotype(false, challenge)).isZero();
        assertIsSarif(file);
        assertThat(file)
                .content()
                .contains("\"version\" : \"2.1.0\"", "\"name\" : \"Zelotype\"", "\"id\" : \"challenge-lost\"")
                .containsPattern("\"ruleId\" : \"challenge-lost\",\\s+\"level\" : \"warning\"")
                .containsPattern("\"uri\" : \".*zelotype-examples/src/main/java/dev/zelotype/examples/observatory/"
                        + "FocusSweep.java\"\\s+},\\s+\"region\" : \\{\\s+\"startLine\" : \\d+");
    }

    @Test
    void what_a_report_finds_is_told_in_the_standard_that_code_hosts_take() throws IOException {
        // A broken claim, and a test that requires more than intended.
        Path journal = report.resolveSibling("journal");
        JournalWriter writer = new JournalWriter(journal, null);
        writer.write(JournalClaim.of("dev.observatory.Dome", "isOpen()", "dome.isOpen()")
                .place("DomeClaims.java:9")
                .real("dev.observatory.RealDome")
                .broken("expected true, was false")
                .build());
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of("dev.observatory.Dome", List.of("isOpen()")))
                .add(NamedDouble.of("dome", Kind.STUB, "dev.observatory.Dome"));
        for (Verb verb : List.of(Verb.SUPPOSED, Verb.VERIFIED)) {
            told.add(TestStatement.builder()
                    .verb(verb)
                    .receiver("dome")
                    .signature("isOpen()")
                    .text("dome.isOpen()")
                    .query(true)
                    .min(verb == Verb.VERIFIED ? 1 : 0)
                    .found(1)
                    .place("NightRunTest.java:20")
                    .build());
        }
        writer.write(JournalScene.of("dev.observatory.NightRunTest#closes()", told.build())
                .build());
        Path file = temporary.resolve("report.sarif");
        String[] command = {
            "report",
            "--journal",
            journal.toString(),
            "--format",
            "sarif",
            "--sources",
            "../zelotype-examples/src/test/java",
            "--into",
            file.toString()
        };
        assertThat(zelotype(false, command)).as(err.toString()).isZero();
        assertIsSarif(file);
        assertThat(file)
                .content()
                .containsPattern("\"ruleId\" : \"broken-claim\",\\s+\"level\" : \"warning\"")
                .contains("dev.observatory.RealDome breaks the claim dome.isOpen(): expected true, was false")
                .contains("\"ruleId\" : \"advice-answered-and-verified\"", "observatory/NightRunTest.java\"");
    }

    @Test
    void shards_are_put_together_for_one_figure_one_report_and_one_exit_code() throws IOException {
        Path journal = temporary.resolve("shards");
        // Two test classes of the examples, without the folder of this test, which would challenge itself.
        String observatory = "dev/zelotype/examples/observatory";
        Path tests = Files.createDirectories(temporary.resolve("tests").resolve(observatory));
        for (Path file : files(Path.of("../zelotype-examples/target/test-classes", observatory))) {
            if (file.getFileName().toString().matches("(NightRunTest|FocusSweepTest).*\\.class")) {
                Files.copy(file, tests.resolve(file.getFileName()));
            }
        }
        String path = Stream.of(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(each -> !each.endsWith("test-classes"))
                .collect(Collectors.joining(File.pathSeparator));
        String[] classPath = {"--class-path", temporary.resolve("tests") + File.pathSeparator + path};
        for (String shard : List.of("1/2", "2/2")) {
            assertThat(zelotype(
                            false,
                            "challenge",
                            classPath[0],
                            classPath[1],
                            "--change",
                            "lost",
                            "--shard",
                            shard,
                            "--journal",
                            journal.toString()))
                    .isZero();
        }
        String[] merge = {"challenge", "--merge", journal.toString(), "--fail-under"};
        assertThat(zelotype(false, merge[0], merge[1], merge[2], merge[3], "10"))
                .isZero();
        assertThat(out.toString()).contains("verify(camera::expose).once();").contains(" disturbed places noticed (");
        assertThat(zelotype(false, merge[0], merge[1], merge[2], merge[3], "100"))
                .isEqualTo(1);
        assertThat(zelotype(false, "report", "--journal", journal.toString(), "--into", report.toString()))
                .isZero();
        assertThat(report.resolve("data/overview.js"))
                .content()
                .contains("\"challenge\":{\"runs\":", "verify(camera::expose).once();");
    }

    @Test
    void what_closes_the_gaps_is_printed_as_a_patch() {
        assertThat(zelotype(false, ofFocusSweep("--write", "../zelotype-examples/src/test/java")))
                .isZero();
        assertThat(out.toString())
                .startsWith("--- a/")
                .contains("FocusSweepTest.java\n@@ -")
                .contains("\n+        verify((SerialLink it) -> it.send(\"FOCUS 0\")).once();\n");
        assertThat(err.toString()).contains("; the patch adds ");
    }

    @Test
    void the_demo_lists_its_examples_and_shows_what_failures_say() {
        assertThat(zelotype(false, "demo", "--list")).isZero();
        assertThat(out.toString())
                .contains("The observatory\n  night-run     a subject and its six collaborators\n")
                .contains("Libraries as collaborators\n  jdbc          rows in sequence, and closing everything\n");
        assertThat(report).doesNotExist();
        assertThat(zelotype(false, "demo", "trouble", "checks", "--into", report.toString()))
                .isZero();
        assertThat(out.toString())
                .contains("FAILED a call that is missing")
                .contains("BROKEN FileCatalog breaks the claim targetCatalog.find(\"Harrow-2\")")
                .contains("expected Optional[Quill-9], was Optional[Harrow-2]")
                .contains("Expected exactly 1 call of mount.slewTo(Harrow-2), but there was none.")
                .contains(" passed, 4 failed\nsome tests fail on purpose");
    }

    @Test
    void the_demo_tells_what_it_is_all_for() {
        assertThat(zelotype(false, "demo", "--into", report.toString())).isZero();
        assertThat(out.toString())
                .containsSubsequence(
                        "1. A humid night",
                        "NightRun -> log      append(too humid: 95 %)",
                        "2. A clear night",
                        "NightRun -> dome     close()",
                        "3. A test that fails",
                        "Expected exactly 1 call of mount.slewTo(Harrow-2), but there was none.",
                        "target: expected Harrow-2, was Quill-9",
                        "4. Can these tests fail?",
                        "could be left out,",
                        "verify(camera::expose).once();",
                        "5. Does the real catalog do what the stub does?",
                        "FileCatalog breaks the claim",
                        "suppose(() -> catalog.find(\"Harrow-2\")).returns(Optional.of(new SkyTarget(\"Harrow-2\", 47)));",
                        "Next",
                        report + File.separator + "index.html",
                        "./demo --challenge");
        assertThat(report.resolve("index.html")).exists();
    }

    private String journal() throws IOException {
        Path journal = Files.createDirectories(report.resolveSibling("journal"));
        RunOfTests.of(
                journal,
                Map.of(),
                "dev.zelotype.examples.observatory.NightRunTest",
                "dev.zelotype.examples.observatory.TroubledNight");
        return journal.toString();
    }

    /** Names of tests and types are never shortened, so that they can be copied; everything else fits. */
    @ParameterizedTest
    @ValueSource(ints = {80, 142})
    void everything_is_as_wide_as_the_terminal(int width) throws IOException {
        String journal = journal();
        for (List<String> command : List.of(
                List.of("story", "--journal", journal),
                List.of("coverage", "--journal", journal),
                List.of("demo", "night-run", "partial", "jdbc", "servlet", "--into", report.toString()),
                List.of("--help"))) {
            out.getBuffer().setLength(0);
            assertThat(zelotype(false, width, command.toArray(new String[0]))).isZero();
            List<String> lines = out.toString()
                    .lines()
                    .filter(line -> !line.matches("\\w+: .*|[\\w.$]+|report: .*"))
                    .toList();
            assertThat(lines).as(command.toString()).hasSizeGreaterThan(5).allMatch(line -> line.length() <= width);
            assertThat(lines).as(command.toString()).anyMatch(line -> line.length() > 60);
        }
    }

    @Test
    void types_of_the_platform_are_covered_only_when_somebody_asks() throws IOException {
        Path journal = Files.createDirectories(temporary.resolve("with-rows"));
        RunOfTests.of(
                journal,
                Map.of(),
                "dev.zelotype.examples.observatory.NightRunTest",
                "dev.zelotype.examples.libraries.JdbcTest");
        String left = "left out: types of the platform, \\d+ methods; --platform lists them\n";
        assertThat(zelotype(false, "coverage", "--journal", journal.toString())).isZero();
        assertThat(out.toString())
                .containsPattern(left)
                .contains("observatory.Dome")
                .doesNotContain("java.sql");
        for (String asked : List.of("--platform", "--only=java.sql.*")) {
            out.getBuffer().setLength(0);
            assertThat(zelotype(false, "coverage", "--journal", journal.toString(), asked))
                    .isZero();
            assertThat(out.toString()).contains("java.sql.ResultSet").doesNotContainPattern(left);
        }
    }

    @Test
    void a_story_shows_the_lines_of_its_calls() throws IOException {
        String journal = journal();
        Path page = report.resolveSibling("story.html");
        assertThat(zelotype(
                        false,
                        "story",
                        "--journal",
                        journal,
                        "--test",
                        "an unexpected call",
                        "--format",
                        "html",
                        "--sources",
                        "../zelotype-examples/src",
                        "--into",
                        page.toString()))
                .isZero();
        assertThat(page).content().contains("dome.close();");
        Map<String, String> wrong = Map.of(
                "no/such/folder", "The sources in no/such/folder cannot be read: there is no no/such/folder.",
                "pom.xml", "No source of Java, Kotlin, Groovy or Scala was found in pom.xml.",
                "src/main/resources", "No source of Java, Kotlin, Groovy or Scala was found in src/main/resources.");
        for (Map.Entry<String, String> each : wrong.entrySet()) {
            assertThat(zelotype(
                            false,
                            "report",
                            "--journal",
                            journal,
                            "--into",
                            report.toString(),
                            "--sources",
                            each.getKey()))
                    .isEqualTo(2);
            assertThat(err.toString()).contains(each.getValue()).doesNotContain("\tat ");
            assertThat(report).doesNotExist();
        }
    }

    @Test
    void a_test_is_told_as_statements_to_paste() throws IOException {
        String journal = journal();
        String[] claims = {
            "story", "--journal", journal, "--test", "an unexpected call", "--format", "java", "--as", "claims"
        };
        assertThat(zelotype(false, claims)).isZero();
        assertThat(out.toString()).startsWith("import static dev.zelotype.Zelotype.*;\n\nimport ");
        assertThat(out.toString()).contains("class FromConversation {\n\n    static void claimsOf", "suppose(() -> ");
        String[] checks = {
            "story", "--journal", journal, "--test", "an unexpected call", "--format", "java", "--double", "dome"
        };
        assertThat(zelotype(false, checks)).isZero();
        assertThat(out.toString())
                .contains("static void checks(Dome dome) {\n        verify(() -> dome.open()).once();\n");
        String[] unknown = {
            "story", "--journal", journal, "--test", "an unexpected call", "--format", "java", "--double", "roof"
        };
        assertThat(zelotype(false, unknown)).isEqualTo(2);
        assertThat(err.toString()).contains("--double=roof is none of the test's doubles: ");
    }

    @Test
    void a_misspelt_word_is_met_with_the_closest_one() throws IOException {
        String journal = journal();
        assertThat(zelotype(false, "story", "--journal", journal, "--test", "an_unexpceted_call"))
                .isEqualTo(1);
        assertThat(err.toString()).contains("Did you mean --test an_unexpected_call?");
        assertThat(zelotype(false, "story", "--jurnal=x")).isEqualTo(2);
        assertThat(err.toString()).contains("Did you mean --journal?");
        assertThat(zelotype(false, "strory")).isEqualTo(2);
        assertThat(err.toString()).contains("Did you mean: zelotype story");
        assertThat(zelotype(false, "help", "story")).isZero();
        assertThat(out.toString()).contains("Usage: zelotype story");
    }

    @Test
    void the_manual_page_has_each_command_with_its_options() {
        assertThat(zelotype(false, "generate-man")).isZero();
        String page = out.toString();
        assertThat(page)
                .startsWith(".TH ZELOTYPE 1 ")
                .contains(
                        ".SS story\n", ".TP\n\\fB\\-\\-test\\fR=\\fITEXT\\fR\n", ".SS generate\n", ".SH EXIT STATUS\n")
                .doesNotContain("${", "%n");
        assertThat(page.lines()).allMatch(line -> line.startsWith(".") || !line.startsWith("'"));
    }

    @Test
    void two_runs_are_compared_in_any_format() throws IOException {
        String before = journal();
        Path after = Files.createDirectories(report.resolveSibling("after"));
        for (Path file : files(Path.of(before))) {
            Files.writeString(
                    after.resolve(file.getFileName()), Files.readString(file).replace("Quill-9", "Quill<10>"));
        }
        Path page = report.resolveSibling("changed.html");
        String[] compare = {"compare", "--before", before, "--journal", after.toString(), "--format"};
        assertThat(zelotype(false, with(compare, "html", "--into", page.toString(), "--check")))
                .isEqualTo(1);
        assertThat(page)
                .content()
                .contains("<span class=\"gone\">- ", "Quill&lt;10&gt;")
                .doesNotContain("Quill<10>");
        assertThat(zelotype(false, with(compare, "json"))).isZero();
        assertThat(out.toString()).contains("\"changed\" : [", "\"lines\" : [", "\"same\" : ");
        assertThat(zelotype(false, with(compare, "xml"))).isEqualTo(2);
        assertThat(err.toString()).contains("Unknown format 'xml': give text, json or html.");
    }

    private static String[] with(String[] some, String... more) {
        List<String> all = new ArrayList<>(List.of(some));
        all.addAll(List.of(more));
        return all.toArray(new String[0]);
    }

    private static List<Path> files(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    @Test
    void places_are_links_where_terminals_follow_links_and_the_sources_are_known() throws IOException {
        String[] story = {"story", "--journal", journal(), "--test", "an unexpected call"};
        assertThat(zelotype(true, story)).isZero();
        assertThat(out.toString()).doesNotContain("\u001b]8;;");
        String[] withSources = Arrays.copyOf(story, story.length + 2);
        withSources[story.length] = "--sources";
        withSources[story.length + 1] = "../zelotype-examples/src";
        assertThat(zelotype(true, withSources)).isZero();
        assertThat(out.toString())
                .containsPattern("\u001b]8;;file:///\\S+/observatory/NightRun\\.java\u001b\\\\"
                        + "NightRun\\.java:\\d+\u001b]8;;\u001b\\\\");
        assertThat(Links.areFollowed(Map.of("TERM", "xterm"))).isFalse();
        assertThat(Links.areFollowed(Map.of("VTE_VERSION", "4999"))).isFalse();
        assertThat(Links.areFollowed(Map.of("VTE_VERSION", "6800"))).isTrue();
        assertThat(Links.areFollowed(Map.of("TERM_PROGRAM", "WezTerm"))).isTrue();
    }

    @Test
    void a_story_is_found_and_drawn() throws IOException {
        String journal = journal();
        assertThat(zelotype(false, "story", "--journal", journal, "--test", "an unexpected call"))
                .isZero();
        assertThat(out.toString())
                .contains("TroubledNight: an unexpected call  failed\n")
                .contains("x unexpected: close()")
                .contains("==> + expected   --> - allowed   ==x x unexpected");
        assertThat(out.toString().lines()).allMatch(line -> line.length() <= 100);

        for (String format : List.of("svg", "png", "html", "mermaid", "text")) {
            Path file = report.resolveSibling("story." + format);
            assertThat(zelotype(
                            false,
                            "story",
                            "--journal",
                            journal,
                            "--class",
                            "Troubled",
                            "--test",
                            "missing",
                            "--format",
                            format,
                            "--into",
                            file.toString()))
                    .as(format)
                    .isZero();
            assertThat(file).isNotEmptyFile();
        }
        assertThat(report.resolveSibling("story.mermaid")).content().startsWith("sequenceDiagram\n");
        assertThat(zelotype(false, "story", "--journal", journal, "--format", "svg"))
                .isEqualTo(2);
        assertThat(err.toString())
                .contains("7 tests fit, but a picture shows one.")
                .contains("NightRunTest#");
        assertThat(zelotype(false, "story", "--journal", journal, "--test", "nowhere"))
                .isEqualTo(1);
        assertThat(err.toString()).contains("No test in " + journal + " fits.");
    }

    @Test
    void coverage_is_told_and_can_fail_a_build() throws IOException {
        String journal = journal();
        assertThat(zelotype(false, "coverage", "--journal", journal, "--only", "no.Such,*.Mount", "--fail-under", "50"))
                .isZero();
        assertThat(out.toString()).isEqualTo("""
                                         supposed  expected  verified    called    failed    backed
                dev.zelotype.examples.observatory.Mount
                  park()                        0         0         2         5     never
                  rate()                        0         0         0     never
                  slewTo(SkyTarget)             0         0         3         5     never
                  track(SkyTarget, int)         0         0         0     never
                2 of 4 methods are exercised (50.0 %)
                """);
        assertThat(zelotype(false, "coverage", "--journal", journal, "--only", "*.Mount", "--fail-under", "51"))
                .isEqualTo(1);
        assertThat(err.toString()).contains("50.0 % of the methods are exercised, less than the 51.0 % asked for.");
        assertThat(zelotype(false, "coverage", "--journal", journal, "--only", "*.TargetCatalog"))
                .isZero();
        assertThat(out.toString())
                .contains("\nbacked: how many of the supposed answers were confirmed by a real object\n");
        Path file = report.resolveSibling("coverage.csv");
        assertThat(zelotype(false, "coverage", "--journal", journal, "--format", "csv", "--into", file.toString()))
                .isZero();
        assertThat(file).content().contains("\"dev.zelotype.examples.observatory.Dome\",\"open()\",");
    }

    @Test
    void a_report_is_written_from_a_journal() throws IOException {
        String journal = journal();
        assertThat(zelotype(false, "report", "--journal", journal, "--into", report.toString(), "--open"))
                .isZero();
        assertThat(out.toString()).isEqualTo("written: " + report.resolve("index.html") + "\n");
        assertThat(err.toString()).contains("No browser can be opened from here");
        assertThat(zelotype(false, "report", "--journal", journal, "--into", journal))
                .isEqualTo(2);
        assertThat(err.toString())
                .contains("contains files that do not belong to a report")
                .doesNotContain("\tat ");
    }

    @Test
    void two_runs_are_compared_call_by_call() throws IOException {
        Path before = Path.of(journal());
        Path after = Files.createDirectories(report.resolveSibling("after"));
        for (Path file : Files.list(before).toList()) {
            Files.writeString(
                    after.resolve(file.getFileName()),
                    Files.readString(file)
                            .replace(
                                    "\"arguments\":[\"Quill-9\"],\"answer\":\"\"",
                                    "\"arguments\":[\"Ember-1\"],\"answer\":\"\"")
                            .replace("a humid night keeps", "a wet night keeps"));
        }
        String[] compare = {"compare", "--before", before.toString(), "--journal", before.toString(), "--check"};
        assertThat(zelotype(false, compare)).isZero();
        assertThat(out.toString()).isEqualTo("0 tests ask otherwise, 7 as before, 0 new, 0 gone\n");
        compare[4] = after.toString();
        assertThat(zelotype(false, compare)).isEqualTo(1);
        assertThat(out.toString())
                .contains(
                        "NightRunTest: a clear night opens slews exposes logs and parks\n    weather.humidity() = 40\n")
                .contains("  - mount.slewTo(Quill-9)\n  + mount.slewTo(Ember-1)\n")
                .contains("new: NightRunTest: a wet night keeps the dome closed\n")
                .contains("gone: NightRunTest: a humid night keeps the dome closed\n")
                .containsPattern("[2-9] tests ask otherwise, \\d as before, 1 new, 1 gone\n");
    }

    @Test
    void commands_are_completed_by_the_shell() {
        assertThat(zelotype(false, "generate-completion")).isZero();
        assertThat(out.toString())
                .contains("complete -F")
                .contains("--fail-under")
                .contains("story");
    }

    @Test
    void a_terminal_gets_colour_and_signs() {
        assertThat(zelotype(true, "demo", "night-run", "--into", report.toString()))
                .isZero();
        assertThat(out.toString())
                .contains("\u001b[")
                .contains("✔")
                .contains("→")
                .contains("← 40");
    }

    @ParameterizedTest
    @ValueSource(strings = {"story", "coverage", "report --into x"})
    void a_journal_that_is_not_there_is_said_without_a_stack_trace(String arguments) {
        assertThat(zelotype(false, (arguments + " --journal no/such/place").split(" ")))
                .isEqualTo(2);
        assertThat(err.toString())
                .startsWith(
                        "No journal was found in no/such/place. Run the tests with zelotype.journal=no/such/place first.")
                .doesNotContain("\tat ");
        assertThat(Path.of("x")).doesNotExist();
    }

    @Test
    void doubles_are_generated_checked_and_kept_when_edited(@TempDir Path folder) throws IOException {
        Path source = folder.resolve("Dome.java");
        Files.writeString(source, "package sky; public interface Dome { int angle(); }");
        String[] generate = {"generate", "--from", source.toString(), "--style", "stub,fake", "--into", folder + "/out"
        };
        String[] check = Arrays.copyOf(generate, generate.length + 1);
        check[generate.length] = "--check";

        assertThat(zelotype(false, check)).isEqualTo(1);
        assertThat(out.toString()).contains("new ").contains("2 new; nothing was written");
        assertThat(folder.resolve("out")).doesNotExist();
        assertThat(zelotype(false, generate)).isZero();
        assertThat(zelotype(false, check)).isZero();
        assertThat(out.toString()).endsWith("2 up to date; nothing was written\n");
        Path stub = folder.resolve("out/sky/DomeStub.java");
        Files.writeString(stub, Files.readString(stub).replace("-> 0", "-> 9"));
        assertThat(zelotype(false, generate)).isEqualTo(1);
        assertThat(err.toString()).contains("Overwrite it with --force.");
        assertThat(stub).content().contains("-> 9");
    }

    @Test
    void the_command_in_the_head_of_a_file_writes_it_anew(@TempDir Path folder) throws IOException {
        Path library = Files.createDirectories(folder.resolve("a library"));
        Path lens = Files.writeString(folder.resolve("Lens.java"), "package glass; public interface Lens {}");
        assertThat(ToolProvider.getSystemJavaCompiler()
                        .run(null, null, null, "-d", library.toString(), lens.toString()))
                .isZero();
        Path source = Files.writeString(
                folder.resolve("Dome.java"), "package sky; public interface Dome { void look(glass.Lens through); }");
        Path stub = folder.resolve("out/sky/DomeStub.java");
        assertThat(zelotype(
                        false,
                        "generate",
                        "--from",
                        source.toString(),
                        "--class-path",
                        library.toString(),
                        "--style",
                        "stub",
                        "--into",
                        folder + "/out"))
                .as(err.toString())
                .isZero();
        String written = Files.readString(stub);
        String command = written.lines().findFirst().orElseThrow().replaceFirst(".*To write it again: zelotype ", "");
        Files.delete(stub);
        // Split like in a shell: at blanks, except within quotes.
        String[] words = Pattern.compile("'([^']*)'|(\\S+)")
                .matcher(command)
                .results()
                .map(word -> word.group(1) == null ? word.group(2) : word.group(1))
                .toArray(String[]::new);
        assertThat(zelotype(false, words)).as(err.toString()).isZero();
        assertThat(stub).hasContent(written);
    }

    @ParameterizedTest
    @CsvSource({
        "--help, zelotype demo",
        "demo --help, zelotype demo",
        "generate --help, zelotype generate --from src/main/java",
        "story --help, zelotype story --test closes_when_humid",
        "coverage --help, zelotype coverage --sort least",
        "report --help, zelotype report --journal target/journal",
        "compare --help, zelotype compare --before main/target/journal",
        "challenge --help, zelotype challenge --class-path target/test-classes",
        "--version, zelotype 0."
    })
    void help_shows_an_example(String arguments, String expected) {
        assertThat(zelotype(false, arguments.split(" "))).isZero();
        assertThat(out.toString()).contains(expected);
    }
}
