package dev.zelotype.extension;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static dev.zelotype.doubles.Kind.DUMMY;
import static dev.zelotype.doubles.Kind.FAKE;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.SPY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.testkit.engine.EngineTestKit;
import org.junit.platform.testkit.engine.Event;
import org.opentest4j.MultipleFailuresError;

/**
 * The effects of {@link WithDoubles} on test classes, which are run here with JUnit.
 */
class WithDoublesTest {

    interface Dome {
        void open();

        int angle();

        default int half() {
            return angle() / 2;
        }
    }

    abstract static class Base {
        static final List<Dome> SEEN = new ArrayList<>();

        @StandIn
        Dome inherited;
    }

    @WithDoubles
    static class GoodTest extends Base {
        @StandIn(SPY)
        Dome dome;

        @StandIn(FAKE)
        Dome fake;

        @BeforeEach
        void setUp(@StandIn(DUMMY) Dome unused) {
            suppose(dome::angle).returns(40);
            suppose(inherited::angle).returns(1);
            assertThat(unused).hasToString("unused");
        }

        @Test
        void first(@StandIn(MOCK) Dome other) {
            expect(other::open).once();
            other.open();
            SEEN.add(dome);
            verifyUntouched(dome, inherited);
            dome.open();
        }

        @Test
        void second() {
            verifyUntouched(dome);
            SEEN.add(dome);
            assertThat(List.of(dome.angle(), inherited.angle())).containsExactly(40, 1);
            assertThat(List.of(dome.toString(), inherited.toString())).containsExactly("dome", "inherited");
            verify(dome::angle).once();
        }
    }

    @WithDoubles
    static class BadTest {
        @StandIn(MOCK)
        Dome dome;

        @Test
        void misses() {
            expect(dome::open).once();
        }

        @Test
        void misses_two() {
            expect(dome::open).once();
            expect(dome::angle).returns(3).once();
        }

        @Test
        void half_written() {
            suppose(dome::open).doesNothing();
            dome.open();
            verify(dome::open);
        }

        @Test
        void fails_first() {
            expect(dome::open).once();
            throw new IllegalStateException("first");
        }

        @Test
        void asks_for_a_final_class(@StandIn String text) {
            throw new AssertionError("not reached with " + text);
        }
    }

    @WithDoubles
    static class StaticFieldTest {
        @StandIn
        static Dome dome;

        @Test
        void never_runs() {
            throw new AssertionError("not reached with " + dome);
        }
    }

    private static Map<String, TestExecutionResult> run(Class<?> testClass, Path journal) {
        Map<String, TestExecutionResult> results = new HashMap<>();
        EngineTestKit.engine("junit-jupiter")
                .selectors(selectClass(testClass))
                .configurationParameter("zelotype.journal", journal.toString())
                .execute()
                .testEvents()
                .finished()
                .stream()
                .forEach(event -> results.put(name(event), event.getRequiredPayload(TestExecutionResult.class)));
        return results;
    }

    private static String name(Event event) {
        String name = event.getTestDescriptor().getDisplayName();
        return name.substring(0, name.indexOf('('));
    }

    private static Throwable failure(TestExecutionResult result) {
        return Objects.requireNonNull(result.getThrowable().orElse(null));
    }

    @Test
    void each_test_gets_doubles_of_its_own(@TempDir Path journal) {
        Base.SEEN.clear();
        assertThat(run(GoodTest.class, journal))
                .hasSize(2)
                .allSatisfy((name, result) -> assertThat(result).as(name).isEqualTo(TestExecutionResult.successful()));
        assertThat(Base.SEEN).hasSize(2).doesNotHaveDuplicates();
    }

    @Test
    void the_end_of_a_test_checks_and_never_hides_the_first_failure(@TempDir Path journal) {
        Map<String, TestExecutionResult> results = run(BadTest.class, journal);

        assertThat(failure(results.get("misses")))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("Expected exactly 1 call of dome.open(), but there was none.")
                .hasMessageContaining("WithDoublesTest.java:");
        assertThat(failure(results.get("misses_two")))
                .isInstanceOfSatisfying(
                        MultipleFailuresError.class,
                        several -> assertThat(several.getFailures())
                                .hasSize(2)
                                .allSatisfy(each -> assertThat(each).isInstanceOf(CheckFailure.class))
                                .map(each -> ((CheckFailure) each).details().expected())
                                .containsExactly("exactly 1 call of dome.open()", "exactly 1 call of dome.angle()"))
                .hasMessageMatching(
                        "(?s)2 problems in this scene:\n\n1\\. Expected exactly 1 call of dome\\.open\\(\\).*"
                                + "\n\n2\\. Expected exactly 1 call of dome\\.angle\\(\\).*");
        assertThat(failure(results.get("half_written")))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("verify(dome.open()) at dev.zelotype.extension.WithDoublesTest");
        assertThat(failure(results.get("fails_first")))
                .hasMessage("first")
                .satisfies(e -> assertThat(e.getSuppressed())
                        .anySatisfy(s -> assertThat(s).hasMessageContaining("Expected exactly 1 call of dome.open()")));
        assertThat(failure(results.get("asks_for_a_final_class")))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("java.lang.String cannot be doubled: it is a final class");
        assertThat(failure(run(StaticFieldTest.class, journal).get("never_runs")))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("StaticFieldTest.dome is static or final");

        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(journal, scenes::add);
        assertThat(scenes).extracting(JournalScene::outcome).containsOnly(JournalScene.Outcome.FAILED);
        assertThat(scenes)
                .filteredOn(scene -> scene.title().startsWith("half_written"))
                .singleElement()
                .satisfies(scene -> assertThat(scene.conversation().calls())
                        .singleElement()
                        .satisfies(call -> assertThat(call.caller()).isEqualTo(BadTest.class.getName())));
    }
}
