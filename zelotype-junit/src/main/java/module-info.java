/**
 * Scenes, doubles and journals for JUnit Jupiter tests.
 */
module dev.zelotype.junit {
    requires transitive dev.zelotype;
    requires transitive dev.zelotype.journal;
    // Tests of other hosts use the annotations without JUnit.
    requires static org.junit.jupiter.api;
    requires static org.jspecify;

    exports dev.zelotype.junit;

    opens dev.zelotype.junit to
            org.junit.platform.commons;
}
