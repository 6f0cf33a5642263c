package dev.zelotype.cli;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.report.site.ComparisonPage;
import dev.zelotype.report.story.Comparison;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * Reports what has changed between subjects and their doubles from one test run to another.
 */
@Command(
        name = "compare",
        header = "Compares the conversations of two test runs, call by call.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Compares the conversations of two test runs, call by call: which subjects make other calls to their",
            "collaborators than before. Shows the effects of a refactoring at a glance."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:with --check, a conversation has changed", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype compare --before main/target/journal",
            "  zelotype compare --before before --journal after --check",
            "  zelotype compare --before before --format html --into changed.html"
        })
final class CompareCommand implements Callable<Integer> {

    private final Terminal terminal;

    @Option(
            names = "--before",
            paramLabel = "FOLDER",
            required = true,
            description = "The folder, or one file, of the earlier run's journal.")
    private Path before;

    @Mixin
    private JournalOption journal = new JournalOption();

    @Option(names = "--check", description = "Exit code 1 if a test's conversation has changed.")
    private boolean check;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            defaultValue = "text",
            description = "text, json, html (a single page). Default: ${DEFAULT-VALUE}.")
    private String format;

    @Option(names = "--into", paramLabel = "FILE", description = "The file to write. Default: the terminal.")
    private Path into;

    @Spec
    private CommandSpec spec;

    CompareCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        OptionCheck.refuseNoFormat(spec, format, "text", "json", "html");
        OutputFile.refuseFolder(spec, into);
        Comparison comparison = new Comparison();
        JournalOption.of(before).read(terminal, comparison::addBefore);
        journal.read(terminal, comparison::addAfter);
        if (format.equals("text") && into == null) {
            lines(comparison, true).forEach(terminal.out()::println);
        } else {
            String text = switch (format) {
                case "json" -> json(comparison);
                case "html" -> ComparisonPage.of(comparison, sum(comparison));
                default -> String.join(System.lineSeparator(), lines(comparison, false)) + System.lineSeparator();
            };
            OutputFile.show(terminal, into, text);
        }
        return check && !comparison.changed().isEmpty() ? 1 : 0;
    }

    private List<String> lines(Comparison comparison, boolean styled) {
        List<String> lines = new ArrayList<>();
        for (Comparison.Changed test : comparison.changed()) {
            lines.add(styled ? terminal.styled("bold", test.title()) : test.title());
            for (String line : test.lines()) {
                lines.add("  " + (styled ? terminal.styled(style(line), line) : line));
            }
            lines.add("");
        }
        tell("new", comparison.fresh(), lines);
        tell("gone", comparison.gone(), lines);
        lines.add(sum(comparison));
        return lines;
    }

    private static String style(String line) {
        return line.startsWith("+") ? "fg(34)" : line.startsWith("-") ? "fg(160)" : "faint";
    }

    private static void tell(String what, List<String> tests, List<String> lines) {
        tests.forEach(test -> lines.add(what + ": " + test));
        if (!tests.isEmpty()) {
            lines.add("");
        }
    }

    private static String sum(Comparison comparison) {
        int changed = comparison.changed().size();
        return (changed == 1 ? "1 test asks" : changed + " tests ask") + " otherwise, " + comparison.same()
                + " as before, " + comparison.fresh().size() + " new, "
                + comparison.gone().size() + " gone";
    }

    private static String json(Comparison comparison) {
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text).useDefaultPrettyPrinter()) {
            out.writeStartObject();
            out.writeArrayFieldStart("changed");
            for (Comparison.Changed test : comparison.changed()) {
                out.writeStartObject();
                out.writeStringField("test", test.title());
                ChallengeJson.strings(out, "lines", test.lines());
                out.writeEndObject();
            }
            out.writeEndArray();
            ChallengeJson.strings(out, "new", comparison.fresh());
            ChallengeJson.strings(out, "gone", comparison.gone());
            out.writeNumberField("same", comparison.same());
            out.writeEndObject();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.append('\n').toString();
    }
}
