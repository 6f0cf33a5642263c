package dev.zelotype.hosts;

import dev.zelotype.journal.TestSettings;
import java.util.Optional;

/**
 * The settings of hosts without settings of their own: system properties.
 */
final class JvmSettings {

    private JvmSettings() {}

    static TestSettings read() {
        TestSettings.refuseNearMisses(System.getProperties().stringPropertyNames());
        return TestSettings.of(name -> Optional.ofNullable(System.getProperty(name)));
    }
}
