package dev.zelotype.cli;

import dev.zelotype.report.story.Comparison;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Tells what has changed between subjects and their doubles from one test run to another.
 */
@Command(
        name = "compare",
        header = "Compares the conversations of two test runs, call by call.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Compares the conversations of two test runs: which subjects ask their collaborators otherwise than",
            "before, call by call. The review of a refactoring at a glance."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:with --check, a conversation has changed", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype compare --before main/target/journal",
            "  zelotype compare --before before --journal after --check"
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

    CompareCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        Comparison comparison = new Comparison();
        JournalOption.of(before).read(terminal, comparison::addBefore);
        journal.read(terminal, comparison::addAfter);
        for (Comparison.Changed test : comparison.changed()) {
            terminal.out().println(terminal.styled("bold", test.title()));
            test.lines().forEach(this::print);
            terminal.out().println();
        }
        tell("new", comparison.fresh());
        tell("gone", comparison.gone());
        int changed = comparison.changed().size();
        terminal.out()
                .println((changed == 1 ? "1 test asks" : changed + " tests ask") + " otherwise, " + comparison.same()
                        + " as before, " + comparison.fresh().size() + " new, "
                        + comparison.gone().size() + " gone");
        return check && changed > 0 ? 1 : 0;
    }

    private void print(String line) {
        String style = line.startsWith("+") ? "fg(34)" : line.startsWith("-") ? "fg(160)" : "faint";
        terminal.out().println("  " + terminal.styled(style, line));
    }

    private void tell(String what, List<String> tests) {
        tests.forEach(test -> terminal.out().println(what + ": " + test));
        if (!tests.isEmpty()) {
            terminal.out().println();
        }
    }
}
