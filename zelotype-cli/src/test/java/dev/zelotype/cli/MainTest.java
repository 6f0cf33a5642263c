package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import org.junit.jupiter.api.Test;
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
                "demo surplus    | 2 | Unmatched argument at index 1: 'surplus'"
            })
    void wrong_use_is_said_on_standard_error_without_a_stack_trace(String arguments, int code, String message) {
        assertThat(zelotype(false, arguments.isEmpty() ? new String[0] : arguments.split(" ")))
                .isEqualTo(code);
        assertThat(err.toString()).contains(message).contains("Usage: zelotype").doesNotContain("\tat ");
        assertThat(out.toString()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"--help, zelotype demo", "demo --help, zelotype demo", "--version, zelotype 0."})
    void help_shows_an_example(String arguments, String expected) {
        assertThat(zelotype(false, arguments.split(" "))).isZero();
        assertThat(out.toString()).contains(expected);
    }
}
