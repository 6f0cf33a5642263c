package dev.zelotype.extension;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.FAKE;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.SPY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.testkit.engine.EngineTestKit;
import org.junit.platform.testkit.engine.Events;

/**
 * The subject gets the doubles that the test requests, wherever it requests them. What cannot work is refused, and a
 * test that fails before it has a scene is in the journal.
 */
class InjectionTest {

    interface Roof {
        void open();
    }

    interface Station {
        int humidity();
    }

    static final class Lamp {
        int watts() {
            return 60;
        }
    }

    enum Colour {
        RED {
            @Override
            int nanometres() {
                return 700;
            }
        },
        BLUE {
            @Override
            int nanometres() {
                return 450;
            }
        };

        abstract int nanometres();
    }

    record Plan(String name) {
        int steps() {
            return name.length();
        }
    }

    abstract static class DryStation implements Station {
        @Override
        public int humidity() {
            return 10;
        }
    }

    static class Run {
        final Roof roof;
        final Station station;

        Run(Roof roof, Station station) {
            this.roof = roof;
            this.station = station;
        }
    }

    static class Lit {
        final Lamp lamp;
        final Plan plan;
        final Colour colour;

        Lit(Lamp lamp, Plan plan, Colour colour) {
            this.lamp = lamp;
            this.plan = plan;
            this.colour = colour;
        }
    }

    @WithDoubles
    static class OrderTest {

        private Run early;

        @UnderTest
        private Run field;

        @BeforeEach
        void build(@UnderTest Run run, @StandIn(MOCK) Roof gate) {
            early = run;
            assertThat(run.roof).isSameAs(gate).hasToString("gate");
        }

        @Test
        void the_subject_first(@UnderTest Run run, @StandIn(MOCK) Roof gate, @StandIn(SPY) Station station) {
            assertThat(List.of(run.roof, early.roof, field.roof)).containsOnly(gate);
            assertThat(List.of(run.station, early.station, field.station)).containsOnly(station);
        }
    }

    @WithDoubles
    static class KindsTest {

        @StandIn(FAKE)
        DryStation weather;

        @UnderTest
        Lit lit;

        @Test
        void fakes_have_names_and_finals_records_and_enums_are_doubled() {
            assertThat(weather).hasToString("weather");
            assertThat(weather.humidity()).isEqualTo(10);
            assertThat(lit.lamp.watts()).isZero();
            assertThat(lit.plan.steps()).isZero();
            suppose(lit.colour::nanometres).returns(1);
            assertThat(lit.colour.nanometres()).isOne();
        }
    }

    @WithDoubles
    static class TwoKindsTest {

        @StandIn
        Roof roof;

        @Test
        void never_runs(@StandIn(SPY) Roof roof) {
            throw new AssertionError("not reached");
        }
    }

    @WithDoubles
    @TestInstance(TestInstance.Lifecycle.PER_CLASS)
    @Execution(ExecutionMode.CONCURRENT)
    static class SharedTest {

        @StandIn
        Roof roof;

        @Test
        void never_runs() {
            throw new AssertionError("not reached");
        }
    }

    @WithDoubles
    @TestInstance(TestInstance.Lifecycle.PER_CLASS)
    @Execution(ExecutionMode.CONCURRENT)
    static class ParametersTest {

        @Test
        void runs(@UnderTest Run run, @StandIn Roof roof) {
            assertThat(run.roof).isSameAs(roof);
        }
    }

    @WithDoubles
    static class BrokenTest {

        BrokenTest() {
            throw new IllegalStateException("no instance");
        }

        @Test
        void never_runs() {}
    }

    @WithDoubles
    static class BrokenBeforeTest {

        @BeforeAll
        static void before() {
            throw new IllegalStateException("no class");
        }

        @Test
        void never_runs() {}
    }

    @WithDoubles
    static class NumbersTest {

        @ParameterizedTest
        @ValueSource(ints = {1, 2})
        void numbers(int number) {
            assertThat(number).isPositive();
        }
    }

    @TempDir
    private Path journal;

    private Events run(Class<?> type) {
        return kit(type).execute().allEvents();
    }

    private EngineTestKit.Builder kit(Class<?> type) {
        return EngineTestKit.engine("junit-jupiter")
                .selectors(selectClass(type))
                .configurationParameter("zelotype.journal", journal.toString())
                .configurationParameter("junit.jupiter.execution.parallel.enabled", "true");
    }

    private List<JournalScene> scenes() {
        List<JournalScene> scenes = new ArrayList<>();
        if (Files.exists(journal) && Objects.requireNonNull(journal.toFile().list()).length > 0) {
            JournalReader.read(journal, scenes::add);
        }
        return scenes;
    }

    private static List<Throwable> failures(Events events) {
        return events.finished().stream()
                .map(event -> event.getRequiredPayload(TestExecutionResult.class))
                .flatMap(result -> result.getThrowable().stream())
                .toList();
    }

    private static Throwable failure(Events events) {
        return failures(events).get(0);
    }

    @ParameterizedTest
    @ValueSource(classes = {OrderTest.class, KindsTest.class, ParametersTest.class, NumbersTest.class})
    void what_a_test_asks_for_is_what_its_subject_gets(Class<?> type) {
        Events events = run(type);
        assertThat(events.failed().list()).as(() -> failure(events).toString()).isEmpty();
        assertThat(scenes())
                .isNotEmpty()
                .allSatisfy(scene -> assertThat(scene.group()).endsWith(type.getSimpleName()));
    }

    static Stream<Object[]> refused() {
        return Stream.of(
                new Object[] {TwoKindsTest.class, "roof is asked for as a stub and as a spy."},
                new Object[] {SharedTest.class, "SharedTest.roof is shared by tests that run at the same time"});
    }

    @ParameterizedTest
    @MethodSource
    void refused(Class<?> type, String message) {
        assertThat(failure(run(type))).isInstanceOf(MisuseException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @ValueSource(classes = {BrokenTest.class, BrokenBeforeTest.class})
    void a_test_without_a_scene_is_in_the_journal(Class<?> type) {
        run(type);
        assertThat(scenes()).singleElement().satisfies(scene -> {
            assertThat(scene.outcome()).isEqualTo(JournalScene.Outcome.FAILED);
            assertThat(scene.failure()).startsWith("no ");
            assertThat(scene.test()).startsWith(type.getName() + "#");
        });
    }

    @ParameterizedTest
    @CsvSource({
        "zelotype.jornal, zelotype.journal",
        "zelotype.Journal, zelotype.journal",
        "zelotype.line, zelotype.lines",
        "zelotype.unusde, zelotype.unused",
        "zelotype.masks, zelotype.mask",
        "zelotype.version, ",
        "zelotype.skip, ",
        "zelotype.force, ",
        "zelotype.into, ",
        "zelotype.styles, ",
        "zelotype.journal.keep, ",
        "zelotypes.journal, ",
        "my.zelotype.jornal, "
    })
    void only_what_is_nearly_a_setting_is_an_error(String name, String right) {
        System.setProperty(name, "1");
        try {
            Events events = run(ParametersTest.class);
            if (right == null) {
                assertThat(failures(events)).isEmpty();
            } else {
                assertThat(failure(events))
                        .isInstanceOf(MisuseException.class)
                        .hasMessageContaining("Unknown setting " + name)
                        .hasMessageContaining("write " + right.toLowerCase(Locale.ROOT) + ";");
            }
        } finally {
            System.clearProperty(name);
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            zelotype.unused | LOUD | zelotype.unused=LOUD is not a severity.
            zelotype.unused | LOUD | give IGNORE, NOTE or FAIL
            zelotype.lines  | -1   | zelotype.lines=-1: the number must be 0 or more.
            zelotype.tasks  | swim | zelotype.tasks=swim is neither follow nor stay.
            """)
    void a_wrong_value_is_an_error_that_names_the_right_ones(String name, String value, String message) {
        EngineTestKit.Builder kit = kit(ParametersTest.class).configurationParameter(name, value);
        assertThat(failure(kit.execute().allEvents()))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining(message);
    }
}
