package dev.zelotype.tools;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.Stream;

/**
 * For Zelotype's own tools: files that appear whole or not at all. Stateless.
 */
public final class WholeFiles {

    private WholeFiles() {}

    /**
     * Writes a file whole, whatever interrupts it: a file that was there stays until the new one takes its place. Its folder
     * is made if it is missing. What is no ordinary file, such as a pipe or a device, is written to as what it is.
     *
     * @param file the file
     * @param content what it holds
     * @throws IOException if it cannot be written, or is a folder; what was there before is still there
     */
    public static void write(Path file, byte[] content) throws IOException {
        if (Files.isDirectory(file)) {
            throw new FileSystemException(file.toString(), null, "it is a folder");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            try (OutputStream out = Files.newOutputStream(file, StandardOpenOption.WRITE)) {
                out.write(content);
            }
            return;
        }
        // A link is followed, so that it stays one.
        Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
        Files.createDirectories(target.getParent());
        Path beside = target.resolveSibling("." + target.getFileName() + "."
                + Long.toHexString(ThreadLocalRandom.current().nextLong()) + ".tmp");
        beside.toFile().deleteOnExit();
        try {
            Files.write(beside, content, StandardOpenOption.CREATE_NEW);
            Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /**
     * Why a file cannot be read or written, in the words of people.
     *
     * @param problem what the JDK says
     * @return part of a sentence
     */
    public static String reason(IOException problem) {
        if (problem instanceof NoSuchFileException) {
            return "there is no " + problem.getMessage();
        } else if (problem instanceof AccessDeniedException) {
            return "access to " + problem.getMessage() + " is denied";
        } else if (problem instanceof FileAlreadyExistsException) {
            return problem.getMessage() + " is a file";
        } else if (problem instanceof FileSystemException system && system.getReason() != null) {
            return system.getReason();
        }
        return problem.getMessage() == null ? problem.getClass().getSimpleName() : problem.getMessage();
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
