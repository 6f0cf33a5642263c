package dev.zelotype.challenge;

import static dev.zelotype.challenge.Fixtures.challenge;
import static dev.zelotype.challenge.Fixtures.classPath;
import static dev.zelotype.challenge.Fixtures.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.ChallengedTest;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.run.TestRun;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The findings do not depend on how the tests run: as in their build, in parallel, or only those that a change affects.
 */
class ChallengedRunsTest {

    @Test
    void tests_run_as_their_build_runs_them(@TempDir Path folder) {
        TestRun asTheBuild = TestRun.PLAIN
                .in(folder)
                .withJvmOptions(List.of("-XX:TieredStopAtLevel=1", "-Dsite=north"))
                .withEnvironment(Map.of("SITE", "north"))
                .withParameters(List.of("site=north"))
                .withTags(List.of("fast"), List.of("broken"));
        List<String> fixture = List.of("dev.zelotype.challenged.BuildChecks");

        ChallengeResult result = run(new Challenge(classPath()).classes(fixture).runningAs(asTheBuild));

        assertThat(result.leftOut()).isEmpty();
        assertThat(result.tests())
                .extracting(ChallengedTest::name)
                .containsExactly("BuildChecks: the_build_says_where(TestReporter)");
        assertThat(run(challenge("BuildChecks")).leftOut())
                .anyMatch(reason ->
                        reason.startsWith("BuildChecks: the_build_says_where(TestReporter) does not pass as it is"));
    }

    @Test
    void what_is_found_does_not_depend_on_the_number_of_jvms() {
        List<List<String>> found = new ArrayList<>();
        for (int jvms : new int[] {1, 3}) {
            ChallengeResult result =
                    run(challenge("WatchChecks", "-Dremoved=warning").jvms(jvms));
            found.add(ChallengeText.lines(result));
        }
        assertThat(found.get(0)).anyMatch(line -> line.contains("verify(() -> log.note(\"fog\")).once();"));
        assertThat(found).containsOnly(found.get(0));
        assertThatThrownBy(() -> challenge("WatchChecks").jvms(0)).isInstanceOf(ChallengeException.class);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            a line of the subject  | src/main/java/dev/zelotype/challenged/Watch.java       | @@ -53 +53 @@        | true
            the test               | src/test/java/dev/zelotype/challenged/WatchChecks.java | @@ -1,3 +1,4 @@      | true
            a file of another name | src/main/java/dev/zelotype/challenged/OtherWatch.java  | @@ -53 +53 @@        | false
            """)
    void only_what_a_change_can_affect_is_disturbed(String change, String file, String lines, boolean affects) {
        ChangedCode code = ChangedCode.ofDiff("--- a/before\n+++ b/" + file + "\n" + lines + "\n+ x");
        ChallengeResult result =
                run(challenge("WatchChecks", "-Dremoved=warning").onlyWhere(code));

        assertThat(code.files()).isEqualTo(1);
        assertThat(result.runs() > 0).isEqualTo(affects);
        assertThat(result.gaps() > 0).isEqualTo(affects);
        assertThat(result.isComplete()).isTrue();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            @@ -5 +7 @@     | 7 | true
            @@ -5 +7 @@     | 8 | false
            @@ -5 +7,3 @@   | 9 | true
            @@ -5,2 +4,0 @@ | 5 | true
            """)
    void lines_are_read_from_a_diff(String lines, int line, boolean changed) {
        String file = "+++ b/src/main/java/dev/observatory/NightRun.java\n";
        ChangedCode code = ChangedCode.ofDiff(file + lines + " void run() {\n");

        assertThat(code.has("dev.observatory.NightRun$Target", line)).isEqualTo(changed);
        assertThat(code.has("dev.observatory.Night", line)).isFalse();
        assertThat(code.has("dev.observatory.NightRun", 0)).isTrue();
    }

    /** Optional libraries are often absent when tests run. */
    @Test
    void types_that_refer_to_missing_classes_are_challenged(@TempDir Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("PostTest.java"), """
                package planted;
                import static dev.zelotype.Zelotype.*;
                import dev.zelotype.junit.WithDoubles;
                import java.util.List;
                class Gone { }
                class Parcel { Gone held; public Gone last() { return null; } }
                record Line(int at, Gone it) { }
                interface Post {
                    List<Gone> all();
                    boolean send(Parcel parcel, Line line, List<Gone> more);
                    Line next();
                }
                class Carrier {
                    private final Post post;
                    Carrier(Post post) { this.post = post; }
                    public Gone optional() { return null; }
                    List<Gone> run(Parcel parcel) {
                        post.next();
                        return post.send(parcel, new Line(3, null), post.all()) ? post.all() : List.of();
                    }
                }
                @WithDoubles class PostTest {
                    @org.junit.jupiter.api.Test void it_sends() {
                        Post post = stub(Post.class);
                        suppose((Parcel any, Line line, List<Gone> more) -> post.send(any, line, more)).returns(true);
                        new Carrier(post).run(new Parcel());
                        verify((Parcel any, Line line, List<Gone> more) -> post.send(any, line, more)).once();
                    }
                }
                """);
        Path classes = Files.createDirectories(folder.resolve("classes"));
        Challenge challenge = Fixtures.planted(classes, List.of(file.toString()));
        Files.delete(classes.resolve("planted/Gone.class"));
        ChallengeResult result = run(challenge);
        assertThat(result.leftOut()).isEmpty();
        assertThat(result.tests()).hasSize(1);
        assertThat(result.findings())
                .extracting(finding -> finding.site().text())
                .anyMatch(text -> text.contains("send"));
    }

    @Test
    void tests_that_no_engine_runs_are_counted(@TempDir Path folder) throws IOException {
        Path annotation = Files.createDirectories(folder.resolve("org/junit")).resolve("Test.java");
        Files.writeString(annotation, "package org.junit; public @interface Test {}");
        Path old = Files.writeString(
                folder.resolve("OldTest.java"), "public class OldTest { @org.junit.Test public void passes() {} }");
        String[] options = {"-proc:none", "-d", folder.toString(), annotation.toString(), old.toString()};
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, null, options))
                .isZero();
        List<Path> with = new ArrayList<>(List.of(folder));
        with.addAll(classPath());

        assertThatThrownBy(() -> run(new Challenge(with).from(List.of(folder))))
                .isInstanceOf(ChallengeException.class)
                .hasMessageEndingWith("Left out: 1 test class of JUnit 4, for which the class path lacks an engine: add"
                        + " org.junit.vintage:junit-vintage-engine");
    }

    /** A subject in a separate folder, a helper that checks for the test, and a test of each framework. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            Jupiter | org.junit.jupiter.api   | BeforeEach   | AfterEach   | true
            JUnit 4 | org.junit               | Before       | After       | true
            TestNG  | org.testng.annotations  | BeforeMethod | AfterMethod | false
            """)
    void tests_of_each_framework_are_challenged_and_helpers_are_theirs(
            String framework, String annotations, String before, String after, boolean stated, @TempDir Path folder)
            throws IOException {
        Files.createDirectory(folder.resolve("classes"));
        List<String> files = new ArrayList<>();
        files.add(Files.writeString(folder.resolve("Shutter.java"), """
                package planted;
                public class Shutter {
                    public interface Bolt { void push(int times); void pull(); boolean isShut(); }
                    private final Bolt bolt;
                    public Shutter(Bolt bolt) { this.bolt = bolt; }
                    public void shut() { if (!bolt.isShut()) { bolt.push(2); bolt.pull(); } }
                }
                """).toString());
        files.add(Files.writeString(folder.resolve("Bench.java"), """
                package planted;
                import static dev.zelotype.Zelotype.verify;
                /** Not named like a test, but it calls the double and checks it. */
                public class Bench {
                    static void warmUp(Shutter.Bolt bolt) { bolt.isShut(); }
                    static void pushed(Shutter.Bolt bolt) { verify(() -> bolt.push(2)).once(); }
                }
                """).toString());
        files.add(Files.writeString(folder.resolve("ShutterTest.java"), """
                package planted;
                import dev.zelotype.*;
                import %s.*;
                public class ShutterTest {
                    private Scene scene;
                    private Shutter.Bolt bolt;
                    @%s public void open() { scene = Scene.open(); bolt = Zelotype.stub(Shutter.Bolt.class); }
                    @%s public void close() { scene.close(); }
                    @Test public void it_shuts() { Bench.warmUp(bolt); new Shutter(bolt).shut(); Bench.pushed(bolt); }
                }
                """.formatted(annotations, before, after))
                .toString());
        ChallengeResult result =
                Fixtures.planted(folder.resolve("classes"), files, classPath()).run((done, all) -> {});

        assertThat(result.leftOut()).isEmpty();
        assertThat(result.tests())
                .extracting(ChallengedTest::name)
                .singleElement()
                .asString()
                .startsWith("ShutterTest: ");
        assertThat(result.findings())
                .filteredOn(finding -> finding.weight() == Finding.Weight.GAP)
                .extracting(finding -> finding.site().place().replaceAll(":.*", "") + " " + finding.statement())
                // TestNG's methods after a test are not part of it, so no statement can be tried there.
                .containsExactly("Shutter.java " + (stated ? "verify(() -> bolt.pull()).once();" : ""));
        assertThat(result.noticedPlaces())
                .allMatch(noticed -> noticed.site().file().equals("Shutter.java"));
    }
}
