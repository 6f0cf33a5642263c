package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Commands are interrupted at random moments. Afterwards each existing file has either its old or its new content, and
 * no other file is left.
 */
class InterruptTest {

    private static final int TIMES = 4;
    /** Background processes of a shell ignore Ctrl-C, and so do the processes that they start. */
    private static final List<String> SIGNALS = ignoresCtrlC() ? List.of("TERM") : List.of("TERM", "INT");

    private static final String TYPES = "--type java.util.concurrent.BlockingDeque --type java.util.NavigableMap"
            + " --type java.util.concurrent.ScheduledExecutorService --type java.util.stream.Stream"
            + " --type java.nio.file.Path";

    private static final int CTRL_C = 1 << 1;

    @TempDir
    private static Path folder;

    private final Random random = new Random(7);

    @BeforeAll
    static void a_journal_and_the_class_path_of_tests() throws IOException {
        RunOfTests.of(folder.resolve("journal"), Map.of(), "dev.zelotype.examples.observatory.NightRunTest");
        Files.writeString(
                folder.resolve("class-path"),
                Path.of("../zelotype-examples/target/test-classes")
                                .toAbsolutePath()
                                .normalize()
                        + File.pathSeparator
                        + System.getProperty("java.class.path"));
    }

    /** As Linux tells it; elsewhere it is assumed to be heeded. */
    private static boolean ignoresCtrlC() {
        try (Stream<String> lines = Files.lines(Path.of("/proc/self/status"))) {
            return lines.filter(line -> line.startsWith("SigIgn:"))
                    .anyMatch(line -> (Long.parseUnsignedLong(line.replaceAll(".*\\s", ""), 16) & CTRL_C) != 0);
        } catch (IOException e) {
            return false;
        }
    }

    private record Ended(int exit, long millis, String output) {}

    /** Waits until a process that prints into a file should be interrupted; returns false if it has ended before. */
    private interface Moment {
        boolean await(Process process, Path printed) throws IOException, InterruptedException;
    }

    /** Runs the command in a separate JVM, and interrupts it. */
    private static Ended run(String signal, Moment moment, List<String> arguments)
            throws IOException, InterruptedException {
        Path temporary = Files.createDirectories(folder.resolve("tmp"));
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Djava.io.tmpdir=" + temporary.toAbsolutePath(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName()));
        command.addAll(arguments);
        long start = System.nanoTime();
        Path printed = Files.createTempFile("zelotype-printed", ".txt");
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(printed.toFile())
                .start();
        if (moment.await(process, printed)) {
            new ProcessBuilder("kill", "-" + signal, String.valueOf(process.pid()))
                    .start()
                    .waitFor();
        }
        int exit = process.waitFor();
        String output = Files.readString(printed);
        Files.delete(printed);
        return new Ended(exit, (System.nanoTime() - start) / 1_000_000, output);
    }

    /** The files in the folder, except for the journal, with their content. */
    private static Map<String, String> files() throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                String name = folder.relativize(file).toString();
                if (!name.startsWith("journal")) {
                    files.put(name, new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1));
                }
            }
        }
        return files;
    }

    /**
     * Removes what differs between runs: times, and the figures of earlier reports, which must all be complete.
     */
    private static String settled(String text) {
        return text.replaceAll("\"(micros|took)\":\\d+", "")
                .replaceAll("\"history\":\\[(\\{\"seconds\":[^{}]*},?)+]", "")
                .replaceAll("(?m)^\\{\"seconds\":[^{}\n]*}\n", "")
                .replaceAll("[0-9a-f]{6,}", "");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "story    | --format html --test clear --journal journal --into out/story.html",
                "coverage | --format csv --journal journal --into out/coverage.csv",
                "report   | --title NEW --journal journal --into out/report",
                "demo     | checks --into out/demo",
                "challenge | --class *.Focus* --jvms 1 --format json --class-path @class-path --into out/challenge.json",
                "generate | --style stub,spy --force --into out/doubles " + TYPES
            })
    void each_file_is_the_old_or_the_new_one_and_nothing_else_is_left(String command, String rest)
            throws IOException, InterruptedException {
        List<String> arguments = new ArrayList<>(List.of(command));
        arguments.addAll(List.of(rest.split(" ")));
        Ended first = run("TERM", (process, printed) -> false, arguments);
        assertThat(first.exit()).as(first.output()).isZero();
        Map<String, String> whole = files();
        assertThat(whole).isNotEmpty();

        // The duration depends on the load of the machine, so after a run that was not interrupted, the next interrupt
        // comes earlier.
        long takes = first.millis();
        int interrupted = 0;
        for (int i = 0; interrupted < TIMES; i++) {
            String signal = SIGNALS.get(i % SIGNALS.size());
            long moment = (long) (takes * (0.3 + 0.7 * random.nextDouble()));
            Ended ended = run(signal, (process, printed) -> !process.waitFor(moment, TimeUnit.MILLISECONDS), arguments);
            if (ended.exit() != 0) {
                interrupted++;
            } else {
                takes = Math.min(takes, ended.millis()) * 9 / 10;
            }
            Map<String, String> left = files();
            assertThat(left.keySet())
                    .as("after %d ms: %s", moment, ended.output())
                    .isEqualTo(whole.keySet());
            left.forEach((name, text) -> assertThat(settled(text)).as(name).isEqualTo(settled(whole.get(name))));
            assertThat(ended.output()).doesNotContain("\tat ");
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "                                             | of \\d+ disturbed places noticed .*; not complete: stopped",
                "--jvms 1 --journal kept                      | of \\d+ disturbed places noticed .*; not complete: stopped",
                "--jvms 1 --format json                       | \"complete\" : false",
                "--jvms 1 --format json --into part/part.json | ; not complete: stopped.*part.json was not written",
                "--jvms 1 --write sources --into part/a.patch | ; not complete: stopped.*a.patch was not written"
            })
    void an_interrupted_challenge_tells_what_it_has_found(String options, String told)
            throws IOException, InterruptedException {
        Files.createDirectories(folder.resolve("sources"));
        List<String> arguments =
                new ArrayList<>(List.of("challenge", "--class", "*.observatory.*", "--class-path", "@class-path"));
        if (options != null) {
            arguments.addAll(List.of(options.split(" ")));
        }
        Ended ended = run("TERM", InterruptTest::hasDisturbed, arguments);
        assertThat(ended.output())
                .contains("disturbed runs: 1 of")
                .containsPattern("(?s)" + told)
                .doesNotContain("cannot be", "\tat ");
        assertThat(folder.resolve("part")).doesNotExist();
        assertThat(folder.resolve("tmp")).isEmptyDirectory();
    }

    private static boolean hasDisturbed(Process process, Path printed) throws IOException, InterruptedException {
        while (!Files.readString(printed).contains("disturbed runs")) {
            if (process.waitFor(5, TimeUnit.MILLISECONDS)) {
                return false;
            }
        }
        return true;
    }
}
