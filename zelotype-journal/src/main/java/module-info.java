/**
 * The file format for results of test runs: for writing and reading.
 */
module dev.zelotype.journal {
    requires transitive dev.zelotype;
    requires static com.fasterxml.jackson.core;
    requires static org.jspecify;

    exports dev.zelotype.journal;
}
