package dev.zelotype.cli;

import dev.zelotype.report.site.Sources;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Option;

/**
 * The option for the source folders, used to find the lines of calls.
 */
final class SourcesOption {

    @Option(
            names = "--sources",
            paramLabel = "FOLDER",
            description = "Folders of sources, for example src/main/java: pages show the line of each call, and "
                    + "terminals link to it. May be given several times.")
    private List<Path> folders = List.of();

    Sources sources() {
        return folders.isEmpty() ? Sources.NONE : Sources.in(folders);
    }
}
