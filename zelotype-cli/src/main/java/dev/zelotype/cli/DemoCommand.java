package dev.zelotype.cli;

import dev.zelotype.journal.JournalReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.platform.engine.discovery.DiscoverySelectors;
import org.junit.platform.launcher.Launcher;
import org.junit.platform.launcher.LauncherDiscoveryRequest;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;
import org.junit.platform.launcher.listeners.SummaryGeneratingListener;
import org.junit.platform.launcher.listeners.TestExecutionSummary;
import picocli.CommandLine.Command;

/**
 * Runs an example test class and shows each test's conversation.
 */
@Command(
        name = "demo",
        mixinStandardHelpOptions = true,
        description = {
            "Runs the tests of a small made-up observatory, and shows what the subject of each test",
            "asked its doubles."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:a test failed", "2:wrong use"},
        footerHeading = "%nExample:%n",
        footer = "  zelotype demo")
final class DemoCommand implements Callable<Integer> {

    private static final String TEST_CLASS = "dev.zelotype.examples.observatory.NightRunTest";

    private final Terminal terminal;

    DemoCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() throws IOException {
        Path folder = Files.createTempDirectory("zelotype-demo");
        try {
            TestExecutionSummary summary = run(folder);
            ConversationPrinter printer = new ConversationPrinter(terminal);
            JournalReader.read(folder, printer::print);
            printer.printTotal(summary.getTestsSucceededCount(), summary.getTestsFailedCount());
            return summary.getTestsFailedCount() == 0 && summary.getTestsSucceededCount() > 0 ? 0 : 1;
        } finally {
            delete(folder);
        }
    }

    private static TestExecutionSummary run(Path folder) {
        LauncherDiscoveryRequest request = LauncherDiscoveryRequestBuilder.request()
                .selectors(DiscoverySelectors.selectClass(TEST_CLASS))
                .configurationParameter("zelotype.journal", folder.toString())
                .configurationParameter(
                        "junit.jupiter.testmethod.order.default", "org.junit.jupiter.api.MethodOrderer$MethodName")
                .build();
        SummaryGeneratingListener summary = new SummaryGeneratingListener();
        Launcher launcher = LauncherFactory.create();
        launcher.execute(request, summary);
        return summary.getSummary();
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }
}
