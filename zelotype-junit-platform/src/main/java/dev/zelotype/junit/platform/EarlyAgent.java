package dev.zelotype.junit.platform;

import dev.zelotype.host.PatternsInPlace;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * Attaches the agent before any test class is loaded, if the system property {@code zelotype.attach} is {@code early}.
 * The JUnit Platform finds it on the class path; without the property it does nothing.
 *
 * @since 0.2
 */
public final class EarlyAgent implements LauncherSessionListener {

    /** Called by the platform. */
    public EarlyAgent() {}

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        if ("early".equals(System.getProperty("zelotype.attach"))) {
            PatternsInPlace.fromNowOn();
        }
    }
}
