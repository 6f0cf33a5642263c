package dev.zelotype.hosts;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.junit.After;
import org.junit.Assume;
import org.junit.Before;
import org.junit.Rule;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.runner.JUnitCore;
import org.junit.runner.notification.Failure;
import org.testng.IRetryAnalyzer;
import org.testng.ITestListener;
import org.testng.ITestResult;
import org.testng.SkipException;
import org.testng.TestNG;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Listeners;
import org.testng.xml.XmlSuite;

/**
 * Other frameworks also have scenes for their tests: with the same checks, attached conversations and journal.
 */
class HostsTest {

    /** The common part of the tests of both frameworks. */
    interface Weather {
        int humidity();
    }

    interface Dome {
        void open();
    }

    static final class Evening {
        private final Weather weather;
        private final Dome dome;

        Evening(Weather weather, Dome dome) {
            this.weather = weather;
            this.dome = dome;
        }

        void begin() {
            if (weather.humidity() < 80) {
                dome.open();
            }
        }
    }

    private static void evening(int humidity) {
        Weather weather = stub(Weather.class, "weather");
        Dome dome = mock(Dome.class, "dome");
        suppose(weather::humidity).returns(humidity);
        expect(dome::open).once();
        new Evening(weather, dome).begin();
    }

    public static final class OfJUnit4 {

        @Rule
        public final SceneRule doubles = new SceneRule();

        @org.junit.Test
        public void passes() {
            evening(40);
            assertThat(doubles.scene().conversation().calls()).hasSize(2);
        }

        @org.junit.Test
        public void misses() {
            evening(95);
        }

        @org.junit.Test
        public void fails() {
            evening(40);
            throw new IllegalStateException("on its own");
        }

        @org.junit.Test
        public void gives_up() {
            Assume.assumeTrue("no night", false);
        }
    }

    @Listeners(SceneListener.class)
    public static final class OfTestNg {

        @org.testng.annotations.Test
        public void passes() {
            evening(40);
        }

        @org.testng.annotations.Test
        public void misses() {
            evening(95);
        }

        @org.testng.annotations.Test
        public void fails() {
            evening(40);
            throw new IllegalStateException("on its own");
        }

        @org.testng.annotations.Test
        public void gives_up() {
            throw new SkipException("no night");
        }
    }

    /**
     * The same tests, with set-up and clean-up methods that use the scene too; each runs for several values, on several
     * threads.
     */
    @Listeners(SceneListener.class)
    public static final class AroundTestNg {

        private static final Map<String, String> AFTER = new ConcurrentHashMap<>();
        private final ThreadLocal<Weather> weather = new ThreadLocal<>();
        private final ThreadLocal<Dome> dome = new ThreadLocal<>();

        @BeforeMethod
        public void set() {
            weather.set(stub(Weather.class, "weather"));
            dome.set(mock(Dome.class, "dome"));
            assertThat(Scene.current()).isNotNull();
        }

        @DataProvider(parallel = true)
        public Object[][] nights() {
            return new Object[][] {{40}, {50}, {95}, {60}};
        }

        @org.testng.annotations.Test(dataProvider = "nights")
        public void opens(int humidity) {
            suppose(weather.get()::humidity).returns(humidity);
            expect(dome.get()::open).once();
            Scene.current().subject(Evening.class).begin();
        }

        @AfterMethod
        public void put_back(Object[] arguments) {
            verify(weather.get()::humidity).once();
            AFTER.put(
                    String.valueOf(arguments[0]),
                    Scene.current().conversation().calls().size() + " calls");
        }
    }

    @Test
    void a_scene_of_testng_is_there_around_the_test() {
        assertThat(ended(AroundTestNg.class, testng -> {}))
                .containsExactlyInAnyOrder(
                        "opens[40] passed",
                        "opens[50] passed",
                        "opens[95] Expected exactly 1 call of dome.open(), but there was none.",
                        "opens[60] passed");
        assertThat(AroundTestNg.AFTER)
                .containsOnly(
                        Map.entry("40", "2 calls"),
                        Map.entry("50", "2 calls"),
                        Map.entry("95", "1 calls"),
                        Map.entry("60", "2 calls"));
        List<String> scenes = new ArrayList<>();
        JournalReader.read(
                folder.resolve("journal"), scene -> scenes.add(scene.outcome().word()));
        assertThat(scenes).containsExactlyInAnyOrder("passed", "passed", "failed", "passed");
    }

    /** Inherited by the tests of both frameworks. */
    public abstract static class WithFields {

        @StandIn(STUB)
        Weather weather;

        @StandIn(MOCK)
        Dome dome;

        @UnderTest
        Evening evening;

        private int humidity;

        void before() {
            humidity = 40;
            suppose(weather::humidity).answers(() -> humidity);
        }

        void opens(int measured) {
            humidity = measured;
            expect(dome::open).once();
            evening.begin();
        }

        void after() {
            verify(weather::humidity).once();
        }
    }

    public static final class FieldsOfJUnit4 extends WithFields {

        @Rule
        public final SceneRule doubles = new SceneRule();

        @Before
        public void set() {
            before();
        }

        @org.junit.Test
        public void passes() {
            opens(40);
        }

        @org.junit.Test
        public void misses() {
            opens(95);
        }

        @After
        public void put_back() {
            after();
        }
    }

    public static final class FixedOfJUnit4 {

        @Rule
        public final SceneRule doubles = new SceneRule();

        @StandIn
        private final Weather weather = null;

        @org.junit.Test
        public void passes() {
            assertThat(weather).isNull();
        }
    }

    @Listeners(SceneListener.class)
    public static final class FieldsOfTestNg extends WithFields {

        private int tries;

        @BeforeMethod(alwaysRun = true)
        public void set() {
            before();
        }

        @DataProvider
        public Object[][] nights() {
            return new Object[][] {{40}, {95}, {60}};
        }

        @org.testng.annotations.Test(dataProvider = "nights", groups = "evening")
        public void of(int measured) {
            opens(measured);
        }

        @org.testng.annotations.Test(retryAnalyzer = Once.class, groups = "evening")
        public void the_second_time() {
            opens(tries++ == 0 ? 95 : 40);
        }

        @org.testng.annotations.Test
        public void in_no_group() {
            throw new IllegalStateException("this group is not wanted");
        }

        @AfterMethod(alwaysRun = true)
        public void put_back() {
            after();
        }
    }

    /** Runs a test again. */
    public static final class Once implements IRetryAnalyzer {
        private boolean done;

        @Override
        public boolean retry(ITestResult result) {
            boolean again = !done;
            done = true;
            return again;
        }
    }

    @Listeners(SceneListener.class)
    public static final class SharedOfTestNg extends WithFields {

        @org.testng.annotations.Test
        public void one() {
            opens(40);
        }

        @org.testng.annotations.Test
        public void other() {
            opens(40);
        }
    }

    @Test
    void fields_are_filled_for_each_test() {
        assertThat(new JUnitCore().run(FieldsOfJUnit4.class).getFailures())
                .singleElement()
                .satisfies(failure ->
                        assertThat(failure.getDescription().getMethodName()).isEqualTo("misses"))
                .satisfies(failure -> assertThat(failure.getException())
                        .hasMessageStartingWith("Expected exactly 1 call of dome.open(), but there was none."));
        assertThat(new JUnitCore().run(FixedOfJUnit4.class).getFailures())
                .singleElement()
                .satisfies(failure -> assertThat(failure.getException())
                        .isInstanceOf(MisuseException.class)
                        .hasMessageContaining("FixedOfJUnit4.weather is static or final"));

        assertThat(ended(FieldsOfTestNg.class, testng -> testng.setGroups("evening")))
                .containsExactlyInAnyOrder(
                        "of[40] passed",
                        "of[95] Expected exactly 1 call of dome.open(), but there was none.",
                        "of[60] passed",
                        "the_second_time[] passed");
        assertThat(ended(SharedOfTestNg.class, testng -> testng.setParallel(XmlSuite.ParallelMode.METHODS)))
                .hasSize(2)
                .allMatch(line -> line.contains("is shared by tests that run at the same time"))
                .allMatch(line -> line.contains("make doubles and subjects in the test methods"));
    }

    /** The results of the tests of a class. */
    private List<String> ended(Class<?> type, Consumer<TestNG> setting) {
        List<String> ended = Collections.synchronizedList(new ArrayList<>());
        runTestNg(type, setting, new ITestListener() {
            @Override
            public void onTestSuccess(ITestResult result) {
                ended.add(result.getName() + List.of(result.getParameters()) + " passed");
            }

            @Override
            public void onTestFailure(ITestResult result) {
                String message = result.getThrowable().getMessage();
                ended.add(result.getName() + List.of(result.getParameters()) + " "
                        + (result.getThrowable() instanceof MisuseException
                                ? message
                                : message.lines().findFirst().orElse("")));
            }
        });
        return ended;
    }

    private void runTestNg(Class<?> type, Consumer<TestNG> setting, ITestListener listener) {
        TestNG testng = new TestNG(false);
        testng.setVerbose(0);
        testng.setTestClasses(new Class<?>[] {type});
        testng.addListener(listener);
        testng.setOutputDirectory(folder.resolve("report").toString());
        setting.accept(testng);
        testng.run();
    }

    @Test
    void outside_any_test_there_is_no_scene() {
        assertThatThrownBy(Scene::current)
                .isInstanceOf(MisuseException.class)
                .hasMessageStartingWith("No scene is open on this thread.");
    }

    @TempDir
    Path folder;

    @BeforeEach
    void set() {
        System.setProperty("zelotype.journal", folder.resolve("journal").toString());
    }

    @AfterEach
    void clear() {
        System.clearProperty("zelotype.journal");
    }

    @Test
    void junit_4() {
        Map<String, Throwable> failures = new TreeMap<>();
        for (Failure failure : new JUnitCore().run(OfJUnit4.class).getFailures()) {
            failures.put(failure.getDescription().getMethodName(), failure.getException());
        }
        check(failures, OfJUnit4.class);
    }

    @Test
    void testng() {
        Map<String, Throwable> failures = new TreeMap<>();
        runTestNg(OfTestNg.class, testng -> {}, new ITestListener() {
            @Override
            public void onTestFailure(ITestResult result) {
                failures.put(result.getName(), result.getThrowable());
            }
        });
        check(failures, OfTestNg.class);
    }

    private void check(Map<String, Throwable> failures, Class<?> type) {
        assertThat(failures).containsOnlyKeys("misses", "fails");
        assertThat(failures.get("misses")).hasMessageContaining("Expected exactly 1 call of dome.open()");
        assertThat(failures.get("fails").getSuppressed())
                .singleElement()
                .satisfies(attached -> assertThat(attached).hasMessageContaining("weather.humidity()  = 40"));
        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(folder.resolve("journal"), scenes::add);
        assertThat(scenes)
                .extracting(scene -> scene.test() + " " + scene.outcome().word())
                .containsExactlyInAnyOrder(
                        type.getName() + "#passes passed",
                        type.getName() + "#misses failed",
                        type.getName() + "#fails failed",
                        type.getName() + "#gives_up aborted");
    }
}
