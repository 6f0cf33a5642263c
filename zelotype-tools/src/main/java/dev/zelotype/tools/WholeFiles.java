package dev.zelotype.tools;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.stream.Stream;

/**
 * For Zelotype's own tools: files that appear whole or not at all. Stateless.
 */
public final class WholeFiles {

    private WholeFiles() {}

    /**
     * Writes a file whole, whatever interrupts it: a file that was there stays until the new one takes its place. Its folder
     * is made if it is missing.
     *
     * @param file the file
     * @param content what it holds
     * @throws IOException if it cannot be written; what was there before is still there
     */
    public static void write(Path file, byte[] content) throws IOException {
        Path target = file.toAbsolutePath();
        Files.createDirectories(target.getParent());
        Path beside = Files.createTempFile(target.getParent(), "zelotype", ".tmp");
        beside.toFile().deleteOnExit();
        try {
            Files.write(beside, content);
            Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /**
     * Removes a folder with all that is in it.
     *
     * @param folder the folder; nothing happens if it is not there
     * @throws IOException if something in it cannot be removed
     */
    public static void delete(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }
}
