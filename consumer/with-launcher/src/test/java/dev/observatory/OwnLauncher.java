package dev.observatory;

import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import java.io.PrintWriter;
import org.junit.platform.launcher.Launcher;
import org.junit.platform.launcher.LauncherDiscoveryRequest;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;
import org.junit.platform.launcher.listeners.SummaryGeneratingListener;
import org.junit.platform.launcher.listeners.TestExecutionSummary;

/** Runs the tests twice from a main method, as editors and servers of tests do. */
final class OwnLauncher {

    private OwnLauncher() {}

    public static void main(String[] arguments) {
        try (LauncherSession session = LauncherFactory.openSession()) {
            for (int round = 1; round <= 2; round++) {
                SummaryGeneratingListener heard = new SummaryGeneratingListener();
                Launcher launcher = session.getLauncher();
                LauncherDiscoveryRequest request = LauncherDiscoveryRequestBuilder.request()
                        .selectors(selectClass(EveningTest.class), selectClass(OwnSceneTest.class))
                        .build();
                launcher.execute(request, heard);
                TestExecutionSummary summary = heard.getSummary();
                if (summary.getTestsSucceededCount() != 5 || summary.getTotalFailureCount() != 0) {
                    summary.printFailuresTo(new PrintWriter(System.out, true));
                    System.exit(1);
                }
            }
        }
    }
}
