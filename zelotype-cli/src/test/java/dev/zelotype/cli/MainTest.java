package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine.Help.Ansi;

class MainTest {

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int zelotype(boolean terminal, String... arguments) {
        Terminal to = new Terminal(
                new PrintWriter(out, true), new PrintWriter(err, true), terminal ? Ansi.ON : Ansi.OFF, terminal);
        return Main.commandLine(to).execute(arguments);
    }

    @Test
    void the_demo_prints_each_conversation_for_a_hundred_columns() {
        assertThat(zelotype(false, "demo")).isZero();
        assertThat(out.toString())
                .contains("ok a clear night opens slews exposes logs and parks\n")
                .contains("with weather (stub), dome (mock), mount (spy), camera (stub), catalog (stub), log (spy)\n")
                .containsPattern("\n   1  NightRun -> weather  humidity\\(\\) += 40 +NightRun\\.java:\\d+\n")
                .containsPattern(
                        " 5  NightRun -> camera   expose\\(PT1M30S, a lambda, a lambda\\) +NightRun\\.java:\\d+\n")
                .contains("~ Optional.empty")
                .contains("~ an empty value, since nobody said")
                .endsWith("\n4 passed, 0 failed\n")
                .doesNotContain("\u001b");
        assertThat(out.toString().lines()).allMatch(line -> line.length() <= 100);
        assertThat(err.toString()).isEmpty();
    }

    @Test
    void a_terminal_gets_colour_and_signs() {
        assertThat(zelotype(true, "demo")).isZero();
        assertThat(out.toString())
                .contains("\u001b[")
                .contains("✔")
                .contains("→")
                .contains("← 40");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "demo --nonsense | 2 | Unknown option: '--nonsense'",
                "nonsense        | 2 | Unmatched argument at index 0: 'nonsense'",
                "''              | 2 | Say what to do.",
                "generate        | 2 | Missing required option: '--into=FOLDER'",
                "generate --into x | 2 | Say what to write doubles for, with --from or --type.",
                "generate --into x --type a.B --style mad | 2 | There is no style 'mad'",
                "demo surplus    | 2 | Unmatched argument at index 1: 'surplus'"
            })
    void wrong_use_is_said_on_standard_error_without_a_stack_trace(String arguments, int code, String message) {
        assertThat(zelotype(false, arguments.isEmpty() ? new String[0] : arguments.split(" ")))
                .isEqualTo(code);
        assertThat(err.toString())
                .contains(message)
                .containsPattern("Usage: zelotype|Did you mean: zelotype generate")
                .doesNotContain("\tat ");
        assertThat(out.toString()).isEmpty();
    }

    @Test
    void doubles_are_generated_checked_and_kept_when_edited(@TempDir Path folder) throws IOException {
        Path source = folder.resolve("Dome.java");
        Files.writeString(source, "package sky; public interface Dome { int angle(); }");
        String[] generate = {"generate", "--from", source.toString(), "--style", "stub,fake", "--into", folder + "/out"
        };
        String[] check = Arrays.copyOf(generate, generate.length + 1);
        check[generate.length] = "--check";

        assertThat(zelotype(false, check)).isEqualTo(1);
        assertThat(out.toString()).contains("new ").contains("2 new; nothing was written");
        assertThat(folder.resolve("out")).doesNotExist();
        assertThat(zelotype(false, generate)).isZero();
        assertThat(zelotype(false, check)).isZero();
        assertThat(out.toString()).endsWith("2 up to date; nothing was written\n");
        Path stub = folder.resolve("out/sky/DomeStub.java");
        Files.writeString(stub, Files.readString(stub).replace("= 0", "= 9"));
        assertThat(zelotype(false, generate)).isEqualTo(1);
        assertThat(err.toString()).contains("Overwrite them with --force.");
        assertThat(stub).content().contains("= 9");
    }

    @ParameterizedTest
    @CsvSource({
        "--help, zelotype demo",
        "demo --help, zelotype demo",
        "generate --help, zelotype generate --from src/main/java",
        "--version, zelotype 0."
    })
    void help_shows_an_example(String arguments, String expected) {
        assertThat(zelotype(false, arguments.split(" "))).isZero();
        assertThat(out.toString()).contains(expected);
    }
}
