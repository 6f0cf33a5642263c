package dev.zelotype.extension;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.core.LauncherFactory;

/**
 * Tests whose classes are loaded after the agent was attached: their patterns need no lambda.
 */
class EarlyAgentTest {

    interface Station {
        int humidity();
    }

    static final class Night {
        private Night() {}

        static int humidity() {
            try (Scene scene = Scene.open()) {
                Station station = stub(Station.class);
                suppose(station::humidity).returns(40);
                return station.humidity() + scene.notes().size();
            }
        }
    }

    /** Opens a session like a launcher, and returns the state of a class that is loaded in it. */
    static final class Child {
        private Child() {}

        public static void main(String[] arguments) {
            try (LauncherSession session = LauncherFactory.openSession()) {
                boolean inPlace = session != null
                        && Arrays.stream(Night.class.getDeclaredMethods())
                                .anyMatch(method -> method.getName().startsWith("zelotype$pattern$"));
                System.out.println(Night.humidity() + " " + inPlace);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"early, 40 true", "later, 40 false"})
    void the_agent_is_attached_before_test_classes_load(String when, String told) throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Dzelotype.attach=" + when,
                        "-cp",
                        System.getProperty("java.class.path"),
                        Child.class.getName())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isZero();
        assertThat(said.lines()).containsExactly(told);
    }
}
