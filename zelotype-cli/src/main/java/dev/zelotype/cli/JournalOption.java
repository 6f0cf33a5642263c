package dev.zelotype.cli;

import java.nio.file.Path;
import picocli.CommandLine.Option;

/**
 * Where a command reads journals; the same for all that do.
 */
final class JournalOption {

    @Option(
            names = "--journal",
            paramLabel = "FOLDER",
            defaultValue = "target/journal",
            description = "The folder, or one file, of the journal. Default: ${DEFAULT-VALUE}.")
    private Path journal;

    Path path() {
        return journal;
    }
}
