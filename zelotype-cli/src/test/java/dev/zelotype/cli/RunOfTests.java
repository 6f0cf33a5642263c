package dev.zelotype.cli;

import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.reporting.ReportEntry;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;

/**
 * Tests that are run for their journal, and their output as a build prints it.
 */
final class RunOfTests implements TestExecutionListener {

    private final StringWriter told = new StringWriter();
    private final PrintWriter out = new PrintWriter(told, true);

    /** Runs the classes; returns the failure messages and the published reports. */
    static String of(Path journal, Map<String, String> settings, String... classes) {
        RunOfTests run = new RunOfTests();
        LauncherFactory.create()
                .execute(
                        LauncherDiscoveryRequestBuilder.request()
                                .selectors(Stream.of(classes)
                                        .map(name -> selectClass(name))
                                        .toList())
                                .configurationParameter("zelotype.journal", journal.toString())
                                .configurationParameters(settings)
                                .build(),
                        run);
        return run.told.toString();
    }

    @Override
    public void executionFinished(TestIdentifier test, TestExecutionResult result) {
        result.getThrowable().ifPresent(failure -> failure.printStackTrace(out));
    }

    @Override
    public void reportingEntryPublished(TestIdentifier test, ReportEntry entry) {
        entry.getKeyValuePairs().forEach((key, value) -> out.println(key + "=" + value));
    }
}
