package dev.zelotype.challenge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.kept.Shard;
import dev.zelotype.challenge.patch.SourcePatch;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Shards have the same findings as a single machine, unchanged tests are not run again, and the proposed patch can be
 * applied and closes the gaps.
 */
class KeptRunsTest {

    /** The checks of each test class: some check what others do not, at the same places. */
    private static final Map<String, String> CHECKS = Map.of(
            "Whole", "verify(() -> dome.open(40)).once(); verify(() -> log.note(\"opened\")).once();",
            "Lenient", "verify(dome::open).once();",
            "Forgetful", "verify(() -> log.note(\"opened\")).once();",
            "Blind", "");

    @TempDir
    private Path folder;

    private Path classes;
    private Path sources;

    @BeforeEach
    void write() throws IOException {
        classes = Files.createDirectory(folder.resolve("classes"));
        sources = Files.createDirectories(folder.resolve("sources/planted")).getParent();
        source("NightRun", subject("NightRun", "40"));
        source("DayRun", subject("DayRun", "15"));
        source("Dome", "package planted; interface Dome { void open(int degrees); }");
        source("Log", "package planted; interface Log { void note(String text); }");
        source("Helper", "package planted; class Helper { static boolean open() { return true; } }");
        for (Map.Entry<String, String> each : CHECKS.entrySet()) {
            source(each.getKey() + "Test", test(each.getKey(), "NightRun", each.getValue()));
        }
        source("DayTest", test("Day", "DayRun", "verify(() -> log.note(\"opened\")).once();"));
    }

    private void source(String name, String code) throws IOException {
        Files.writeString(sources.resolve("planted/" + name + ".java"), code);
    }

    private static String subject(String name, String degrees) {
        return """
                package planted;
                class NAME {
                    private final Dome dome;
                    private final Log log;
                    NAME(Dome dome, Log log) {
                        this.dome = dome;
                        this.log = log;
                    }
                    void run() {
                        if (Helper.open()) {
                            dome.open(DEGREES);
                            log.note("opened");
                        }
                    }
                }
                """.replace("NAME", name).replace("DEGREES", degrees);
    }

    private static String test(String name, String subject, String checks) {
        return """
                package planted;

                import static dev.zelotype.Zelotype.verify;
                import dev.zelotype.junit.StandIn;
                import dev.zelotype.junit.WithDoubles;
                import org.junit.jupiter.api.Test;

                @WithDoubles
                class NAMETest {
                    @StandIn Dome dome;
                    @StandIn Log log;

                    @Test
                    void it_opens() {
                        new SUBJECT(dome, log).run();
                        CHECKS
                    }
                }
                """.replace("NAME", name).replace("SUBJECT", subject).replace("CHECKS", checks);
    }

    private Challenge challenge() {
        try (Stream<Path> files = Files.list(sources.resolve("planted"))) {
            return Fixtures.planted(classes, files.map(String::valueOf).toList());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private ChallengeResult run() {
        return Fixtures.run(challenge());
    }

    private static List<String> told(ChallengeResult result) {
        List<String> lines = new ArrayList<>(ChallengeText.lines(result));
        // Together they make a few more runs than a single machine, because each confirms its own gaps.
        lines.replaceAll(line -> line.replaceAll("in \\d+ runs", "in some runs"));
        return lines;
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 7})
    void shards_find_together_what_one_machine_finds(int count) throws IOException {
        Path times = folder.resolve("times");
        List<String> whole = told(Fixtures.run(challenge().keeping(times, false)));
        List<Path> journals = new ArrayList<>();
        List<String> tests = new ArrayList<>();
        for (int number = 1; number <= count; number++) {
            Path journal = folder.resolve("shard-" + number);
            ChallengeResult part = challenge()
                    .shard(new Shard(number, count), count % 2 == 0 ? times : null)
                    .keeping(journal, false)
                    .run((done, all) -> {});
            part.tests().forEach(each -> tests.add(each.name()));
            journals.add(journal);
        }
        assertThat(whole).anyMatch(line -> line.contains("verify(() -> dome.open(15)).once();"));
        assertThat(tests).as("each test is challenged once").hasSize(5).doesNotHaveDuplicates();
        assertThat(told(MergedRuns.of(journals))).isEqualTo(whole);

        assertThatThrownBy(() -> MergedRuns.of(journals.subList(1, count)))
                .isInstanceOf(ChallengeException.class)
                .hasMessage("Shard 1/" + count + " is missing. Challenge it again; the others need not be run again.");
        damaged(journals);
    }

    private static void damaged(List<Path> journals) throws IOException {
        try (Stream<Path> files = Files.list(journals.get(0))) {
            Path file = files.findFirst().orElseThrow();
            String lines = Files.readString(file);
            Files.writeString(file, lines.substring(0, lines.length() - "End\n".length()));
            assertThatThrownBy(() -> MergedRuns.of(journals))
                    .isInstanceOf(ChallengeException.class)
                    .hasMessage(
                            file + " breaks off, so it was not read. Challenge that shard again, and put all together"
                                    + " then.");
        }
    }

    @Test
    void shards_that_do_not_belong_together_give_no_figure() throws IOException {
        Path one = folder.resolve("one");
        challenge().shard(new Shard(1, 2), null).keeping(one, false).run((done, all) -> {});
        Path other = folder.resolve("other");
        source("MoreTest", test("More", "NightRun", ""));
        challenge().shard(new Shard(2, 2), null).keeping(other, false).run((done, all) -> {});
        assertThatThrownBy(() -> MergedRuns.of(List.of(one, other)))
                .isInstanceOf(ChallengeException.class)
                .hasMessageStartingWith(
                        "Shards 1/2 and 2/2 do not belong together: they were cut from different classes");
        assertThatThrownBy(() -> MergedRuns.of(List.of(classes)))
                .isInstanceOf(ChallengeException.class)
                .hasMessageStartingWith("No runs of a challenge were found in " + classes);
        for (String wrong : List.of("", "0/3", "4/3", "3", "a/b", "1/0", "-1/3")) {
            assertThatThrownBy(() -> Shard.of(wrong))
                    .isInstanceOf(ChallengeException.class)
                    .hasMessageContaining("is not a shard");
        }
    }

    /** A change of a file, and the tests that must run again after it. */
    private record Change(String file, String before, String after, List<String> again) {}

    @Test
    void only_what_a_change_can_reach_is_run_again() throws IOException {
        Path journal = folder.resolve("journal");
        List<String> told = told(Fixtures.run(challenge().keeping(journal, true)));
        List<String> all = List.of("BlindTest", "DayTest", "ForgetfulTest", "LenientTest", "WholeTest");
        for (Change each : List.of(
                new Change("Unused", "", "package planted; class Unused {}", List.of()),
                new Change("BlindTest", "log).run();", "log).run(); verify(dome::open).once();", List.of("BlindTest")),
                new Change("DayRun", "dome.open(15);", "dome.open(15 + 1);", List.of("DayTest")),
                new Change("Helper", "return true;", "return !Boolean.FALSE;", all))) {
            Path file = sources.resolve("planted/" + each.file() + ".java");
            source(
                    each.file(),
                    each.before().isEmpty()
                            ? each.after()
                            : Files.readString(file).replace(each.before(), each.after()));
            // If no test must run again, the findings do not change.
            told = each.again().isEmpty() ? told : told(run());
            ChallengeResult reused = challenge().keeping(journal, true).run((done, known) -> {});
            assertThat(reused.runs() > 0)
                    .as(each.file())
                    .isEqualTo(!each.again().isEmpty());
            assertThat(reused.reused() > 0)
                    .as(each.file())
                    .isEqualTo(!each.again().equals(all));
            List<String> lines = told(reused);
            lines.replaceAll(line -> line.replaceAll("; \\d+ runs of an earlier challenge still hold", ""));
            assertThat(lines).as(each.file()).isEqualTo(told);
        }
    }

    @Test
    void other_settings_make_other_runs() {
        Path journal = folder.resolve("journal");
        Fixtures.run(challenge().changes(Set.of(ChangeKind.LOST)).keeping(journal, true));
        assertThat(Fixtures.run(challenge().keeping(journal, true)).reused()).isZero();
    }

    @Test
    void the_patch_applies_and_closes_the_gaps() throws IOException, InterruptedException {
        source("OddTest", """
                package planted;
                import dev.zelotype.Zelotype;
                import dev.zelotype.junit.*;
                @WithDoubles class OddTest {
                    @StandIn Dome dome; @StandIn Log log;
                    @org.junit.jupiter.api.Nested class Inside {
                \t@org.junit.jupiter.api.Test void on_one_line() { new DayRun(dome, log).run(); }
                    }
                    @org.junit.jupiter.params.ParameterizedTest @org.junit.jupiter.params.provider.ValueSource(ints = 1)
                    void twice(int verify) { new NightRun(dome, log).run(); }
                }""".replace("\n", "\r\n"));
        ChallengeResult before = run();
        assertThat(before.gaps()).isPositive();
        SourcePatch patch = SourcePatch.of(before, List.of(sources), compilePath());
        assertThat(patch.statements()).isPositive();

        Path file = Files.writeString(folder.resolve("gaps.patch"), patch.text());
        // Sources outside the working directory have absolute paths.
        Process git = new ProcessBuilder("git", "apply", file.toString())
                .directory(folder.getRoot().toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(git.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(git.waitFor()).as(said + patch.text()).isZero();

        ChallengeResult after = run();
        TreeSet<String> open = new TreeSet<>();
        after.findings().stream()
                .filter(each ->
                        each.weight() == Finding.Weight.GAP && !each.statement().isEmpty())
                .forEach(each -> open.add(each.statement() + " in " + each.tests()));
        assertThat(after.leftOut()).isEmpty();
        assertThat(open).hasSameSizeAs(patch.leftOut());
        assertThat(after.gaps()).isLessThan(before.gaps());
    }

    private List<Path> compilePath() {
        List<Path> path = new ArrayList<>(List.of(classes));
        Stream.of(System.getProperty("java.class.path").split(File.pathSeparator))
                .map(Path::of)
                .forEach(path::add);
        return path;
    }
}
