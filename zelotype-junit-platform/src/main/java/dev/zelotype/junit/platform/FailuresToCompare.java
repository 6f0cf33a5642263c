package dev.zelotype.junit.platform;

import dev.zelotype.host.ComparedFailures;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * Makes failed checks errors that IDEs can show as a comparison. It must run before any test class is loaded that
 * refers to them. The JUnit Platform finds it on the class path.
 *
 * @since 0.2
 */
public final class FailuresToCompare implements LauncherSessionListener {

    /** Called by the platform. */
    public FailuresToCompare() {}

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        ComparedFailures.fromNowOn();
    }
}
