package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import dev.zelotype.Zelotype;
import dev.zelotype.examples.plain.PlainReplacement;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The agent is loaded when the JVM starts, while it runs, or not at all. */
class AgentTest {

    private static String run(String... options) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of(options));
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), PlainReplacement.class.getName()));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return printed;
    }

    @Test
    void at_the_start_it_is_quiet() throws Exception {
        Path jar = Path.of(Zelotype.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .toURI());
        assumeTrue(Files.isRegularFile(jar), "only where the jar is built already, as in mvn verify");
        assertThat(run("-javaagent:" + jar))
                .startsWith("step 1 at 4711\n1  new SerialLink(\"COM3\")")
                .doesNotContainIgnoringCase("warning");
    }

    @Test
    void while_the_jvm_runs_it_is_attached() throws Exception {
        assertThat(run("-XX:+IgnoreUnrecognizedVMOptions")).contains("step 1 at 4711\n1  new SerialLink(\"COM3\")");
    }

    @Test
    void where_nothing_works_the_message_gives_the_line_to_add() throws Exception {
        assertThat(run("-XX:+DisableAttachMechanism"))
                .contains("the agent could not be attached")
                .contains(
                        "Cure: start the JVM of the tests with -javaagent:/path/to/zelotype.jar (Surefire: <argLine>");
    }
}
