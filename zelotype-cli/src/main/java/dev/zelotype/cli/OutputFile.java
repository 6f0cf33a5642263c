package dev.zelotype.cli;

import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;

/**
 * What commands write for their users.
 */
final class OutputFile {

    private OutputFile() {}

    static void write(Path file, byte[] content) {
        try {
            WholeFiles.write(file, content);
        } catch (IOException e) {
            throw new UncheckedIOException(file + " cannot be written: " + e.getMessage(), e);
        }
    }
}
