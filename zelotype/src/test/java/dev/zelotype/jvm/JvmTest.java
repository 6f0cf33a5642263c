package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.host.AgentJar;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.SynchronousQueue;
import org.jacoco.core.tools.ExecFileLoader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The effects of replacements on a whole JVM: no memory leaks, nothing else is affected, and calls of real code are
 * reported.
 */
class JvmTest {

    @ParameterizedTest
    @ValueSource(strings = {"interface", "class", "final", "record", "enum", "static", "constructor", "spy", "thread"})
    void scenes_are_let_go(String sort) throws Exception {
        String bytesPerScene =
                Child.run(Scenes.class, "-Xmx20m", "--", sort).lines().reduce("", (first, last) -> last);
        assertThat(Long.parseLong(bytesPerScene)).isLessThan(10);
    }

    @Test
    void class_loaders_go_with_their_classes() throws Exception {
        // The last one may still be held by the thread that used it.
        assertThat(Child.run(Loaders.class, "-Xmx64m")).containsPattern("\\b[01] of 20 loaders kept");
    }

    @Test
    void two_copies_of_the_library_do_not_disturb_each_other() throws Exception {
        assertThat(Child.run(TwoCopies.class).lines().filter(line -> !line.startsWith("WARNING")))
                .containsExactly("{one=0} {two=0} two 3", "two 3", "real true");
    }

    @Test
    void the_agent_leaves_no_foreign_object_in_the_properties(@TempDir Path folder) throws Exception {
        for (String option : new String[] {"-javaagent:" + agent(folder), "-Dnone=1"}) {
            assertThat(Child.run(Agents.class, option).lines().filter(line -> !line.startsWith("WARNING")))
                    .containsExactly("7/6/5", "true");
        }
    }

    /** Each JVM that reads this variable listens on the port, so a second one would not start. */
    @Test
    void attaching_does_not_heed_the_options_for_all_jvms() throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        String debugger = "-agentlib:jdwp=transport=dt_socket,server=y,suspend=n,address=127.0.0.1:" + port;
        assertThat(Child.run(Map.of("JAVA_TOOL_OPTIONS", debugger), Agents.class))
                .contains("Picked up JAVA_TOOL_OPTIONS: " + debugger, "7/6/5");
    }

    private static Path agent(Path folder) throws IOException {
        Path jar = folder.resolve("agent.jar");
        AgentJar.write(jar);
        return jar;
    }

    @Test
    void coverage_is_the_same_with_woven_classes_and_in_either_order_of_agents(@TempDir Path folder) throws Exception {
        Map<String, String> plain = coverage(folder, "plain");
        String ours = "-javaagent:" + agent(folder);
        assertThat(plain)
                .hasSizeGreaterThan(2)
                .allSatisfy((name, probes) -> assertThat(probes).contains("true"));
        assertThat(coverage(folder, "woven")).as("attached later").isEqualTo(plain);
        assertThat(coverage(folder, "woven", ours, "COVERAGE")).isEqualTo(plain);
        assertThat(coverage(folder, "woven", "COVERAGE", ours)).isEqualTo(plain);
    }

    /** The probes of the observatory's classes that were reached, by class. */
    private static Map<String, String> coverage(Path folder, String how, String... agents) throws Exception {
        Path counted = Files.createTempFile(folder, "coverage", ".exec");
        Files.delete(counted);
        String jar = Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(path -> path.contains("org.jacoco.agent"))
                .findFirst()
                .orElseThrow();
        String coverage = "-javaagent:" + jar + "=destfile=" + counted + ",includes=dev.zelotype.observatory.Hardware*";
        List<String> words = new ArrayList<>(agents.length == 0 ? List.of(coverage) : List.of(agents));
        words.replaceAll(word -> word.equals("COVERAGE") ? coverage : word);
        words.addAll(List.of("--", how));
        assertThat(Child.run(Covered.class, words.toArray(new String[0]))).contains("calls 1013");
        ExecFileLoader loader = new ExecFileLoader();
        loader.load(counted.toFile());
        Map<String, String> probes = new TreeMap<>();
        loader.getExecutionDataStore()
                .getContents()
                .forEach(data -> probes.put(data.getName(), Arrays.toString(data.getProbes())));
        return probes;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--limit-modules=java.base,jdk.unsupported | size 0 | lacks the module java.instrument",
                "--limit-modules=java.base,java.instrument | lacks the module jdk.unsupported | jlink --add-modules",
                "-XX:+DisableAttachMechanism | size 0 | could not be attached (com.sun.tools.attach.AttachNotSupported"
            })
    void a_jvm_that_lacks_something_says_what_and_how_to_add_it(String option, String one, String other)
            throws Exception {
        assertThat(Child.run(Poor.class, option)).contains("rate 15", one, other);
    }

    @Test
    void what_ran_for_real_on_threads_of_no_scene_is_said() throws Exception {
        SynchronousQueue<Runnable> errands = new SynchronousQueue<>();
        Thread before = new Thread(null, () -> runAll(errands), "from before", 0, false);
        before.start();
        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(7L);
            errands.put(SiderealClock::now);
            errands.put(SiderealClock::now);
            errands.put(() -> {});
            assertThatThrownBy(() -> verify(SiderealClock::now).once())
                    .hasMessageContaining("Replaced, but ran their real code on threads of no scene")
                    .hasMessageContaining("SiderealClock.now() on from before, 2 calls")
                    .hasMessageContaining("scene.everywhere()");
            assertThat(scene.notes()).anyMatch(note -> note.contains("SiderealClock.now() on from before, 2 calls"));
        } finally {
            before.interrupt();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"-Xss512k", "-Xss1m"})
    void an_endless_answer_is_explained_and_the_jvm_prints_nothing(String option) throws Exception {
        assertThat(Child.run(Quiet.class, option)).isEqualTo("explained\n".repeat(4));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 16})
    void work_handed_to_a_pool_sees_the_scene_however_many_processors_there_are(int processors) throws Exception {
        assertThat(Child.run(Pools.class, "-XX:ActiveProcessorCount=" + processors))
                .isEqualTo("left over: true\nqueued: true\nnamed: true\nstay: false\ndone\n");
    }

    private static void runAll(SynchronousQueue<Runnable> errands) {
        try {
            while (true) {
                errands.take().run();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
