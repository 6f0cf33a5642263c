/**
 * Scenes, doubles and journals for JUnit Jupiter tests.
 */
module dev.zelotype.junit {
    requires transitive dev.zelotype;
    requires dev.zelotype.journal;
    requires org.junit.jupiter.api;
    requires static org.jspecify;
    // The platform that runs the tests brings it along, on the class path; a module that provides its service could not be
    // resolved without it.
    requires static org.junit.platform.launcher;

    exports dev.zelotype.junit;

    opens dev.zelotype.junit to
            org.junit.platform.commons;
}
