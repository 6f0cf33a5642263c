package dev.zelotype.challenge;

import static dev.zelotype.challenge.Fixtures.challenge;
import static dev.zelotype.challenge.Fixtures.classPath;
import static dev.zelotype.challenge.Fixtures.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A missing check is reported with the statement to write, existing checks cause no findings, and a disturbed test does
 * not affect other tests.
 */
class ChallengeTest {

    @Test
    void tests_that_look_at_everything_have_no_gap() {
        ChallengeResult whole = run(challenge("WatchChecks"));

        assertThat(whole.findings())
                .filteredOn(finding -> finding.weight() == Finding.Weight.GAP)
                .extracting(Finding::sentence)
                .isEmpty();
        assertThat(whole.percent()).isEqualTo(100);
        assertThat(whole.isComplete()).isTrue();
        assertThat(whole.tests())
                .hasSize(4)
                .allSatisfy(test -> assertThat(test.noticed()).isPositive());
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            open      | LOST     | dome.open(40)          | verify(() -> dome.open(40)).once();
            time      | ARGUMENT | camera.expose(PT1M30S  | verify(camera::expose).where((time, done, failed) -> time.equals(
            place     | ARGUMENT | weather.warning        | suppose(() -> weather.warning("north"))
            failure   | LOST     | log.note("failed       | verify(() -> log.note("failed: stuck")).once();
            """)
    void a_check_that_is_taken_away_is_missed(String removed, ChangeKind kind, String call, String statement) {
        ChallengeResult result = run(challenge("WatchChecks", "-Dremoved=" + removed));

        assertThat(result.findings())
                .filteredOn(finding -> finding.weight() == Finding.Weight.GAP)
                .anySatisfy(finding -> {
                    assertThat(finding.kind()).isEqualTo(kind);
                    assertThat(finding.site().text()).startsWith(call);
                    assertThat(finding.site().place()).startsWith("Watch.java:");
                    assertThat(finding.statement()).startsWith(statement);
                })
                .allSatisfy(finding -> assertThat(finding.sentence()).contains("no test notices."));
        assertThat(result.percent()).isLessThan(100);
    }

    @Test
    void what_runs_away_ends_nothing_but_itself() {
        ChallengeResult result = run(challenge("WildChecks", "-Xmx128m").allowing(500));

        assertThat(result.isComplete()).isTrue();
        assertThat(result.leftOut()).isEmpty();
        assertThat(result.tests()).hasSize(9).allSatisfy(test -> {
            boolean sees = !test.name().contains("leaves_a_thread");
            assertThat(test.noticed() > 0).as(test.name()).isEqualTo(sees);
        });
    }

    @Test
    void tests_that_cannot_be_challenged_are_named_with_the_reason() {
        // A failing set-up is reported too, although its tests never start.
        assertThatThrownBy(() -> run(challenge("OddChecks")))
                .hasMessageContaining("OddChecks$WithoutSetUp does not pass as it is (no dome is free)")
                .isInstanceOf(ChallengeException.class)
                .hasMessageContaining("fails_as_it_is() does not pass as it is")
                .hasMessageContaining("is_aborted() does not pass as it is")
                .hasMessageContaining("passes_the_first_time() passes only now and then");
        assertThatThrownBy(() -> run(challenge("OddChecks").onlyTests("has_no_double")))
                .isInstanceOf(ChallengeException.class)
                .hasMessageStartingWith("None of the");
    }

    @Test
    void a_class_path_without_tests_or_without_junit_is_said(@TempDir Path empty) {
        List<Path> without = new ArrayList<>(classPath());
        without.removeIf(path -> path.toString().endsWith("test-classes"));
        without.add(empty);
        assertThatThrownBy(() -> run(new Challenge(without).from(List.of(empty))))
                .isInstanceOf(ChallengeException.class)
                .hasMessageStartingWith("No test was found on the class path.");

        without.removeIf(path -> path.toString().contains("junit"));
        assertThatThrownBy(() -> run(new Challenge(without).from(List.of(empty))))
                .isInstanceOf(ChallengeException.class)
                .hasMessageContaining("JUnit");
        assertThatThrownBy(() -> run(new Challenge(classPath()).classes(List.of("dev.zelotype.challenged.NoSuch"))))
                .isInstanceOf(ChallengeException.class);
    }

    @Test
    void a_challenge_writes_into_nobodys_journal(@TempDir Path folder) throws IOException {
        Path journal = folder.resolve("journal");
        Files.writeString(
                folder.resolve("junit-platform.properties"),
                "zelotype.journal=" + journal.toString().replace("\\", "/"));
        List<Path> with = new ArrayList<>(List.of(folder));
        with.addAll(classPath());
        ChallengeResult result = run(new Challenge(with).classes(List.of("dev.zelotype.challenged.JournalChecks")));
        assertThat(result.runs()).isPositive();
        assertThat(result.findings()).isEmpty();
        assertThat(journal).doesNotExist();
    }

    @Test
    void a_slow_set_up_and_a_test_that_loops_change_nothing_for_the_next_test() {
        List<List<String>> found = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            ChallengeResult result = run(challenge("SlowChecks").allowing(200));
            assertThat(result.isComplete()).isTrue();
            assertThat(result.leftOut()).isEmpty();
            found.add(result.findings().stream()
                    .filter(finding -> finding.weight() == Finding.Weight.GAP)
                    .map(Finding::sentence)
                    .toList());
        }
        assertThat(found.get(0)).anyMatch(sentence -> sentence.contains("bolt.push()"));
        assertThat(found).containsOnly(found.get(0));
    }

    @Test
    void where_nothing_was_disturbed_there_is_no_share() {
        ChallengeResult nothing = new ChallengeResult(List.of(), List.of(), List.of(), List.of(), 0, 0, 0, true);
        assertThat(nothing.isEmpty()).isTrue();
        assertThat(ChallengeText.sum(nothing)).startsWith("no place was disturbed, in 0 runs of 0 tests");
        assertThat(ChallengeText.shortfall(nothing, 0)).isEmpty();
        assertThat(ChallengeText.shortfall(nothing, 1)).startsWith("No place was disturbed, so it is unknown");
    }

    @Test
    void what_was_found_until_it_is_stopped_is_told() {
        Challenge stopped = challenge("WatchChecks");
        ChallengeResult some = stopped.run((done, all) -> stopped.stop());
        assertThat(some.isComplete()).isFalse();
        assertThat(some.runs()).isBetween(1, 10);
        assertThat(ChallengeText.sum(some)).endsWith("not complete: stopped, or the time was up");

        ChallengeResult late = run(challenge("WatchChecks").within(Duration.ofNanos(1)));
        assertThat(late.isComplete()).isFalse();
        assertThat(late.runs()).isZero();
    }

    @Test
    void calls_that_are_meant_to_go_unchecked_are_left_alone() {
        ChallengeResult result = run(challenge("WatchChecks", "-Dremoved=notes").except("NightLog.*, Dome.open"));
        assertThat(result.findings())
                .filteredOn(finding -> finding.weight() != Finding.Weight.QUESTION)
                .isEmpty();
        assertThat(result.findings())
                .extracting(finding -> finding.site().text())
                .noneMatch(text -> text.startsWith("log.") || text.startsWith("dome.open"));
        assertThat(result.percent()).isEqualTo(100);
        assertThat(result.runs()).isPositive();
    }

    @Test
    void what_is_said_twice_or_not_at_all_is_told() {
        ChallengeResult result = run(challenge("LooseChecks"));

        assertThat(result.findings())
                .filteredOn(finding -> finding.kind() == ChangeKind.RESULT)
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.weight()).isEqualTo(Finding.Weight.GAP);
                    assertThat(finding.sentence())
                            .matches(
                                    "Watch\\.night, called at [\\w.]+\\(LooseChecks\\.java:\\d+\\), could return otherwise"
                                            + " \\(-?\\d+ instead of -?\\d+\\), and no test notices\\."
                                            + " Assert on the result\\.");
                });
        assertThat(result.findings())
                .filteredOn(finding -> finding.weight() == Finding.Weight.QUESTION)
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.kind()).isEqualTo(ChangeKind.EXTRA);
                    assertThat(finding.tests()).containsExactly("LooseChecks: a_humid_night_that_forgets()");
                    assertThat(finding.sentence())
                            .isEqualTo(
                                    "An additional call of dome.open(40) in \"LooseChecks: a humid night that forgets\""
                                            + " goes unnoticed. Should it be forbidden there?");
                    assertThat(finding.statement()).isEqualTo("verify(dome::open).never();");
                });
        assertThat(result.findings())
                .extracting(Finding::sentence)
                .filteredOn(sentence -> sentence.contains("adds nothing"))
                .singleElement()
                .asString()
                .startsWith(
                        "The check \"verify(dome.open(any int)), exactly 1 call\" at dev.zelotype.challenged.LooseChecks.");
        assertThat(result.noticedPlaces())
                .filteredOn(noticed -> noticed.kind() == ChangeKind.TWICE)
                .extracting(noticed -> noticed.site().text())
                .containsExactly("dome.open(40)");
    }

    @Test
    void what_a_test_inherits_is_its_own() {
        ChallengeResult result = run(challenge("InheritedChecks"));
        assertThat(result.findings()).isEmpty();
        assertThat(result.noticedPlaces())
                .extracting(noticed -> noticed.site().place().replaceAll(":.*", ""))
                .contains("Latch.java")
                .doesNotContain("HandedDown.java");
    }

    @Test
    void one_kind_and_one_test_can_be_asked_for() {
        ChallengeResult result = run(challenge("WatchChecks").onlyTests("humid").changes(Set.of(ChangeKind.ANSWER)));
        assertThat(result.tests()).singleElement().satisfies(test -> {
            assertThat(test.name()).contains("a_humid_night");
            assertThat(test.noticed()).isEqualTo(1);
        });
        assertThat(result.findings()).isEmpty();
    }
}
