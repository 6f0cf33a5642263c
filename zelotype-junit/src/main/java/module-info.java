/**
 * Scenes, doubles and journals for JUnit Jupiter tests.
 */
module dev.zelotype.junit {
    requires transitive dev.zelotype;
    requires dev.zelotype.journal;
    requires org.junit.jupiter.api;
    requires static org.jspecify;
    // Only for the listener that a build may name; where Zelotype is a module and the platform is none, it cannot be loaded.
    requires static org.junit.platform.launcher;

    exports dev.zelotype.junit;

    opens dev.zelotype.junit to
            org.junit.platform.commons;
}
