/**
 * Scenes, doubles and journals for JUnit Jupiter tests.
 */
module dev.zelotype.junit {
    requires transitive dev.zelotype;
    requires dev.zelotype.journal;
    requires org.junit.jupiter.api;
    requires static org.jspecify;
    // The platform that runs the tests brings it along.
    requires static org.junit.platform.launcher;

    exports dev.zelotype.junit;

    provides org.junit.platform.launcher.TestExecutionListener with
            dev.zelotype.junit.OwnScenes;

    opens dev.zelotype.junit to
            org.junit.platform.commons;
}
