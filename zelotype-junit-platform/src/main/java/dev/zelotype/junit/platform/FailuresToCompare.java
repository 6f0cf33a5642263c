package dev.zelotype.junit.platform;

import dev.zelotype.host.ComparedFailures;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * Lets failed checks be errors that IDEs compare with, before any test class loads that names them. The JUnit Platform finds
 * it on the class path.
 *
 * @since 0.2
 */
public final class FailuresToCompare implements LauncherSessionListener {

    /** Made by the platform. */
    public FailuresToCompare() {}

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        ComparedFailures.fromNowOn();
    }
}
