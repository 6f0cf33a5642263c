package dev.zelotype.report.site;

import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/**
 * The folder of a site. The site is built in a temporary folder next to it, which replaces an earlier site at the end,
 * so that no reader ever sees an incomplete one.
 */
final class SiteFolder {

    /** Every site has this file. */
    private static final String SIGN = "data/overview.js";

    private final Path target;
    private final Path growing;

    SiteFolder(Path target) {
        this.target = target.toAbsolutePath();
        try {
            if (Files.exists(this.target) && !isEmpty() && !Files.exists(this.target.resolve(SIGN))) {
                throw new ReportException(
                        target + " contains files that do not belong to a report. Give a new or an empty folder.",
                        null);
            }
            growing = WholeFiles.temporaryFolder(this.target.getParent(), "zelotype-report");
        } catch (IOException e) {
            throw failed(e);
        }
    }

    private boolean isEmpty() throws IOException {
        if (!Files.isDirectory(target)) {
            return false;
        }
        try (Stream<Path> files = Files.list(target)) {
            return files.findAny().isEmpty();
        }
    }

    /** The content of an earlier site in the same place; empty if there is none, or it cannot be read. */
    String earlier(String name) {
        try {
            Path file = target.resolve(name);
            return Files.isRegularFile(file) ? Files.readString(file) : "";
        } catch (IOException e) {
            // The new site works without it.
            return "";
        }
    }

    interface Content {
        void write(Writer out) throws IOException;
    }

    void write(String name, Content content) {
        Path file = growing.resolve(name);
        try {
            WholeFiles.uninterrupted(() -> {
                Files.createDirectories(file.getParent());
                try (Writer out = Files.newBufferedWriter(file)) {
                    content.write(out);
                }
                return file;
            });
        } catch (IOException e) {
            throw failed(e);
        }
    }

    /** Moves the site to its place. */
    void finish() {
        try {
            WholeFiles.replace(growing, target);
            target.toFile().setReadable(true, false);
            target.toFile().setExecutable(true, false);
        } catch (IOException e) {
            throw failed(e);
        }
    }

    /** Removes the temporary folder unless it was moved. */
    void abandon() {
        try {
            WholeFiles.delete(growing);
        } catch (IOException e) {
            throw failed(e);
        }
    }

    private ReportException failed(IOException e) {
        return new ReportException(
                "The report cannot be written to " + target + ": " + WholeFiles.reason(e)
                        + ". Give a folder that can be written to.",
                e);
    }
}
