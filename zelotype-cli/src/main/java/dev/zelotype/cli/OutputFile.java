package dev.zelotype.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/**
 * Writes a file whole or not at all, whatever interrupts it.
 */
final class OutputFile {

    private OutputFile() {}

    static void write(Path file, byte[] content) {
        Path target = file.toAbsolutePath();
        try {
            Files.createDirectories(target.getParent());
            Path beside = Files.createTempFile(target.getParent(), "zelotype", ".tmp");
            beside.toFile().deleteOnExit();
            try {
                Files.write(beside, content);
                Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
            } finally {
                Files.deleteIfExists(beside);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(file + " cannot be written: " + e.getMessage(), e);
        }
    }
}
