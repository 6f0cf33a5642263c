package dev.zelotype.cli;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeJournal;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.report.site.Sources;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.junit.platform.engine.discovery.DiscoverySelectors;
import org.junit.platform.launcher.LauncherDiscoveryRequest;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;
import org.junit.platform.launcher.listeners.SummaryGeneratingListener;
import org.junit.platform.launcher.listeners.TestExecutionSummary;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/**
 * Runs example tests, shows each conversation, and writes the report of the run.
 */
@Command(
        name = "demo",
        header = "Runs example tests of a small made-up observatory, and shows their conversations.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Runs example tests of a small made-up observatory, shows the calls between the subject of each test",
            "and its doubles, and writes the report of the run. Without an example it explains what Zelotype is "
                    + "for."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:a test failed unexpectedly", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype demo",
            "  zelotype demo --list",
            "  zelotype demo trouble",
            "  zelotype demo --all",
            "  zelotype demo --challenge"
        })
final class DemoCommand implements Callable<Integer> {

    private static final String JOURNAL = "zelotype.journal";

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "EXAMPLE",
            arity = "0..*",
            description = "The examples to run. Without any, it shows a night in five parts.")
    private List<String> names = new ArrayList<>();

    @Option(names = "--all", description = "Runs all examples.")
    private boolean all;

    @Option(names = "--list", description = "Lists the examples and runs none.")
    private boolean list;

    @Option(
            names = "--challenge",
            description =
                    "Challenges the examples' tests instead: makes one change at a time, and reports what no test "
                            + "noticed.")
    private boolean challenge;

    @Option(
            names = "--into",
            paramLabel = "FOLDER",
            description = "The folder of the report. Default: zelotype-demo among the system's temporary files.")
    private Path into = Path.of(System.getProperty("java.io.tmpdir"), "zelotype-demo");

    DemoCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() throws IOException {
        List<DemoExample> chosen = chosen();
        OutputFile.refuseNoFolder(spec, into);
        if (list) {
            Table table = new Table(terminal, true, 15, terminal.width() - 17);
            String group = "";
            for (DemoExample example : DemoExample.ALL) {
                if (!example.group().equals(group)) {
                    group = example.group();
                    table.line("bold", group);
                }
                table.row("", "  " + example.name(), example.about());
            }
            terminal.out().print(table);
            terminal.out().flush();
            return 0;
        }
        if (challenge) {
            return challenge(names.isEmpty() && !all ? DemoExample.OBSERVATORY : chosen);
        }
        Path folder = WholeFiles.temporaryFolder("zelotype-journal");
        if (names.isEmpty() && !all) {
            int code = new DemoStory(terminal).tell(folder, into);
            WholeFiles.delete(folder);
            return code;
        }
        long passed = 0;
        long failed = 0;
        boolean asMeant = true;
        for (DemoExample example : chosen) {
            TestExecutionSummary summary = WholeFiles.uninterrupted(() -> run(example, folder));
            passed += summary.getTestsSucceededCount();
            failed += summary.getTestsFailedCount();
            asMeant &= example.fails() ? summary.getTestsSucceededCount() == 0 : summary.getTestsFailedCount() == 0;
        }
        ConversationPrinter printer = new ConversationPrinter(terminal);
        JournalOption journal = JournalOption.of(folder);
        journal.read(terminal, printer);
        printer.printTotal(passed, failed);
        if (failed > 0 && asMeant) {
            terminal.out().println("some tests fail on purpose, to show failure messages");
        }
        Path page = ReportCommand.write(terminal, journal, into, "The demo", Sources.NONE);
        terminal.out().println("report: " + page);
        if (chosen.size() < DemoExample.ALL.size()) {
            terminal.out().println(terminal.styled("faint", "more examples: zelotype demo --list"));
        }
        WholeFiles.delete(folder);
        return asMeant && passed + failed > 0 ? 0 : 1;
    }

    private List<DemoExample> chosen() {
        if (all) {
            return DemoExample.ALL;
        }
        List<DemoExample> chosen = new ArrayList<>();
        for (String name : names) {
            chosen.add(DemoExample.named(name)
                    .orElseThrow(() -> new ParameterException(
                            spec.commandLine(),
                            "Unknown example '" + name + "': give one of " + String.join(", ", DemoExample.names())
                                    + ".")));
        }
        return chosen;
    }

    private int challenge(List<DemoExample> wanted) throws IOException {
        List<String> classes = new ArrayList<>();
        wanted.forEach(example -> classes.addAll(example.testClasses()));
        Challenge challenging = new Challenge(ChallengeRun.ownClassPath()).classes(classes);
        Path folder = WholeFiles.temporaryFolder("zelotype-journal");
        for (DemoExample example : wanted) {
            WholeFiles.uninterrupted(() -> run(example, folder));
        }
        ChallengeRun.run(terminal, challenging, (result, interrupted) -> {
            ChallengeRun.print(terminal, result, Sources.NONE);
            new JournalWriter(folder, null).write(ChallengeJournal.of(result));
            return 0;
        });
        Path page = ReportCommand.write(terminal, JournalOption.of(folder), into, "The demo, challenged", Sources.NONE);
        terminal.out().println("report: " + page);
        WholeFiles.delete(folder);
        return 0;
    }

    /** Runs the tests of an example, with their journal in the folder. */
    static TestExecutionSummary run(DemoExample example, Path folder) {
        LauncherDiscoveryRequest request = LauncherDiscoveryRequestBuilder.request()
                .selectors(example.testClasses().stream()
                        .map(DiscoverySelectors::selectClass)
                        .toList())
                .configurationParameter(JOURNAL, folder.toString())
                .configurationParameter(
                        "junit.jupiter.testmethod.order.default", "org.junit.jupiter.api.MethodOrderer$MethodName")
                .build();
        SummaryGeneratingListener summary = new SummaryGeneratingListener();
        // Claims are made where no test runs yet, and ask the JVM.
        System.setProperty(JOURNAL, folder.toString());
        try {
            LauncherFactory.create().execute(request, summary);
        } finally {
            System.clearProperty(JOURNAL);
        }
        return summary.getSummary();
    }
}
