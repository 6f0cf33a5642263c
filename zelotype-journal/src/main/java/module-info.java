/**
 * The file format that test runs leave behind: written and read.
 */
module dev.zelotype.journal {
    requires transitive dev.zelotype;
    requires static com.fasterxml.jackson.core;
    requires static org.jspecify;

    exports dev.zelotype.journal;
}
