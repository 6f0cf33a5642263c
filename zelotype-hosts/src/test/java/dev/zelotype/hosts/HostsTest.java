package dev.zelotype.hosts;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.Assume;
import org.junit.Rule;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.runner.JUnitCore;
import org.junit.runner.notification.Failure;
import org.testng.ITestListener;
import org.testng.ITestResult;
import org.testng.SkipException;
import org.testng.TestNG;
import org.testng.annotations.Listeners;

/**
 * The other frameworks give their tests scenes as well: the same checks, attached conversations and journal.
 */
class HostsTest {

    /** What both frameworks' tests do. */
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
        TestNG testng = new TestNG(false);
        testng.setVerbose(0);
        testng.setTestClasses(new Class<?>[] {OfTestNg.class});
        testng.addListener(new ITestListener() {
            @Override
            public void onTestFailure(ITestResult result) {
                failures.put(result.getName(), result.getThrowable());
            }
        });
        testng.setOutputDirectory(folder.resolve("report").toString());
        testng.run();
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
