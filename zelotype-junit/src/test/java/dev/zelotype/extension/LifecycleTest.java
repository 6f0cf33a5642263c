package dev.zelotype.extension;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.SPY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;
import static org.junit.jupiter.api.DynamicTest.dynamicTest;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import dev.zelotype.Scene;
import dev.zelotype.doubles.Severity;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.junit.Provided;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.reporting.ReportEntry;
import org.junit.platform.testkit.engine.EngineExecutionResults;
import org.junit.platform.testkit.engine.EngineTestKit;

/**
 * Every kind of JUnit test gets new doubles, subjects that were built with them, and a useful failure.
 */
class LifecycleTest {

    interface Station {
        String name();

        int humidity();
    }

    interface Roof {
        void open();

        Station station();
    }

    static class Run {
        final Station station;
        final Roof roof;
        final String site;

        Run(Station station, Roof roof, String site) {
            this.station = station;
            this.roof = roof;
            this.site = site;
        }

        int work() {
            roof.open();
            return roof.station().name().length() + station.humidity();
        }
    }

    /** The doubles of the tests of one engine run, to check that none is used twice. */
    private static final Set<Station> SEEN = ConcurrentHashMap.newKeySet();

    @WithDoubles
    @Execution(ExecutionMode.CONCURRENT)
    abstract static class EveryKind {
        @StandIn(SPY)
        Station station;

        @StandIn(MOCK)
        Roof roof;

        @Provided
        String site = "North Ridge";

        @UnderTest
        Run run;

        @BeforeEach
        void setUp() {
            suppose(station::humidity).returns(40);
            suppose(station::name).returns("base");
        }

        private void use() {
            verifyUntouched(station);
            assertThat(SEEN.add(station)).isTrue();
            assertThat(run.station).isSameAs(station);
            assertThat(run.roof).isSameAs(roof);
            assertThat(run.site).isEqualTo("North Ridge");
            expect(roof::open).once();
            expect(roof::station).returns(station);
            suppose(station::name).returns("refined");
            assertThat(run.work()).isEqualTo(47);
        }

        @Test
        void plain() {
            use();
        }

        @RepeatedTest(2)
        void repeated() {
            use();
        }

        @ParameterizedTest
        @ValueSource(ints = {1, 2})
        void parameterised(int number, Scene scene, @StandIn Roof other, @UnderTest Run second) {
            use();
            assertThat(second.site).isEqualTo("North Ridge");
            assertThat(scene.the(Station.class)).isSameAs(station);
            assertThat(other).hasToString("other").isNotSameAs(roof);
        }

        @TestFactory
        Stream<DynamicTest> dynamic() {
            suppose(station::name).returns("dynamic");
            return Stream.of(
                    dynamicTest("first", () -> assertThat(station.name()).isEqualTo("dynamic")),
                    dynamicTest("second", () -> verify(roof::open).never()));
        }

        @Nested
        class Inner {
            @StandIn(SPY)
            Station inner;

            @Test
            void nested() {
                use();
                verifyUntouched(inner);
            }
        }
    }

    static class PerMethodTest extends EveryKind {}

    @TestInstance(TestInstance.Lifecycle.PER_CLASS)
    @Execution(ExecutionMode.SAME_THREAD)
    static class PerClassTest extends EveryKind {}

    private static EngineExecutionResults run(Class<?> testClass, Path journal, String... parameters) {
        EngineTestKit.Builder kit = EngineTestKit.engine("junit-jupiter")
                .selectors(selectClass(testClass))
                .configurationParameter("zelotype.journal", journal.toString());
        for (int i = 0; i < parameters.length; i += 2) {
            kit.configurationParameter(parameters[i], parameters[i + 1]);
        }
        return kit.execute();
    }

    @ParameterizedTest
    @ValueSource(classes = {PerMethodTest.class, PerClassTest.class})
    void every_kind_of_test_gets_fresh_doubles(Class<?> testClass, @TempDir Path journal) {
        SEEN.clear();
        run(testClass, journal, "junit.jupiter.execution.parallel.enabled", "true")
                .testEvents()
                .assertStatistics(statistics -> statistics.succeeded(8).failed(0));
        assertThat(SEEN).hasSize(6);
    }

    @WithDoubles(unused = Severity.FAIL)
    static class BadTest {
        @StandIn
        Roof roof;

        @StandIn
        Runnable unneeded;

        @UnderTest
        Run run;

        @Provided
        final String site = "North Ridge";

        @Test
        void null_pointer() {
            run.work();
        }

        @Test
        void unused() {
            suppose(roof::open).doesNothing();
        }
    }

    static final class Clock {
        private Clock() {}

        static long now() {
            return 1;
        }
    }

    @WithDoubles
    static class UntidyTest {
        @BeforeEach
        void replace() {
            suppose(Clock::now).returns(7L);
            assertThat(Clock.now()).isEqualTo(7);
        }

        @Test
        void fails() {
            throw new IllegalStateException("failed");
        }

        @Test
        void aborts() {
            assumeTrue(Clock.now() == 1, "aborted");
        }

        @Test
        @Timeout(value = 100, unit = TimeUnit.MILLISECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
        void times_out() throws InterruptedException {
            assertThat(Clock.now()).isEqualTo(7);
            Thread.sleep(60_000);
        }
    }

    @Test
    void what_was_replaced_is_put_back_however_a_test_ends(@TempDir Path journal) {
        run(UntidyTest.class, journal)
                .testEvents()
                .assertStatistics(statistics -> statistics.failed(2).aborted(1).succeeded(0));
        assertThat(Clock.now()).isEqualTo(1);
    }

    private static Throwable failure(EngineExecutionResults results, String test) {
        return results.testEvents().failed().stream()
                .filter(event -> event.getTestDescriptor().getDisplayName().startsWith(test))
                .map(event -> event.getRequiredPayload(TestExecutionResult.class)
                        .getThrowable()
                        .orElse(null))
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_failure_is_followed_by_the_conversation_and_notes_go_to_the_journal(@TempDir Path journal) {
        EngineExecutionResults results = run(BadTest.class, journal);

        assertThat(failure(results, "null_pointer"))
                .isInstanceOf(NullPointerException.class)
                .satisfies(e -> assertThat(e.getSuppressed())
                        .singleElement()
                        .extracting(Throwable::toString)
                        .asString()
                        .startsWith("what the doubles were asked before the test failed:\n    1  roof.open()")
                        .containsPattern("2  roof\\.station\\(\\) += null \\(by default\\)"
                                + " +at \\S+LifecycleTest\\.java:\\d+\\)"));
        assertThat(results.testEvents().reportingEntryPublished().stream()
                        .map(event ->
                                event.getRequiredPayload(ReportEntry.class).toString()))
                .anySatisfy(entry -> assertThat(entry).contains("the collaborator unneeded is declared"));
        assertThat(failure(results, "unused")).hasMessageContaining("No call needed suppose(roof.open())");

        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(journal, scenes::add);
        assertThat(scenes)
                .hasSize(2)
                .allSatisfy(scene -> assertThat(scene.conversation().notes())
                        .contains("the collaborator unneeded is declared, but the subject takes none of its type"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"unused=sometimes", "lines=-3", "lines=many", "mask=(", "tasks=never"})
    void a_wrong_setting_is_reported(String setting, @TempDir Path journal) {
        String[] parts = setting.split("=");
        EngineExecutionResults results = run(WithDoublesTest.GoodTest.class, journal, "zelotype." + parts[0], parts[1]);
        assertThat(failure(results, "first"))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("zelotype." + setting);
    }

    @Test
    void settings_come_from_configuration_parameters(@TempDir Path journal) {
        run(WithDoublesTest.GoodTest.class, journal, "zelotype.lines", "0")
                .testEvents()
                .assertStatistics(statistics -> statistics.succeeded(2));
        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(journal, scenes::add);
        assertThat(scenes)
                .flatExtracting(scene -> scene.conversation().calls())
                .isNotEmpty()
                .allSatisfy(call -> assertThat(call.place() + call.line()).isEqualTo("0"));
    }
}
