package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine.Help.Ansi;

/**
 * Masked text appears in no output: not in the message of a failed test, not in the journal, and not in anything that
 * is generated from the journal.
 */
class SecretsTest {

    private static final String SECRETS = SecretNight.class.getName();

    @TempDir
    private Path folder;

    private Map<String, String> outputs(Map<String, String> settings) throws IOException {
        Map<String, String> outputs = new TreeMap<>();
        Path journal = folder.resolve("journal");
        PrintStream before = System.err;
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        System.setErr(new PrintStream(printed, true, StandardCharsets.UTF_8));
        try {
            outputs.put("what the build prints", RunOfTests.of(journal, settings, SECRETS));
        } finally {
            System.setErr(before);
        }
        outputs.put("standard error", printed.toString(StandardCharsets.UTF_8));
        for (String format : List.of("text", "mermaid")) {
            outputs.put("story " + format, printed("story", "--journal", journal.toString(), "--format", format));
        }
        for (String format : List.of("svg", "html")) {
            outputs.put(
                    "story " + format,
                    printed("story", "--journal", journal.toString(), "--format", format, "--test", "notes"));
        }
        for (String format : List.of("text", "csv", "json")) {
            outputs.put("coverage " + format, printed("coverage", "--journal", journal.toString(), "--format", format));
        }
        printed(
                "report",
                "--journal",
                journal.toString(),
                "--into",
                folder.resolve("report").toString());
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                outputs.put(folder.relativize(file).toString(), Files.readString(file));
            }
        }
        return outputs;
    }

    private static String printed(String... arguments) {
        StringWriter out = new StringWriter();
        PrintWriter writer = new PrintWriter(out, true);
        assertThat(Main.commandLine(new Terminal(writer, writer, Ansi.OFF, false, 100, false))
                        .execute(arguments))
                .as(() -> String.join(" ", arguments) + "\n" + out)
                .isZero();
        return out.toString();
    }

    @Test
    void what_is_masked_stands_nowhere() throws IOException {
        Map<String, String> outputs = outputs(Map.of("zelotype.mask", "key-\"?[0-9a-f]+\"?"));
        assertThat(outputs)
                .hasSizeGreaterThan(15)
                .allSatisfy(
                        (name, text) -> assertThat(text.lines().filter(line -> !line.contains("of the test itself")))
                                .as(name)
                                .noneMatch(line -> line.contains("key-")));
        assertThat(outputs.get("story text")).contains("open(", "***");
    }

    @Test
    void without_a_mask_they_can_be_seen_so_that_the_other_test_means_something() throws IOException {
        Map<String, String> outputs = outputs(Map.of());
        String all = String.join("\n", outputs.values());
        for (String secret : List.of(
                "0a1", "1b2", "2c3", "4e5", "5f6", "6a7", "8c9", "9d0", "ae1", "bf2", "c03", "e25", "f36", "047")) {
            assertThat(all).contains("key-" + secret);
        }
        assertThat(all).contains("key-\\\"3d4\\\"");
    }
}
