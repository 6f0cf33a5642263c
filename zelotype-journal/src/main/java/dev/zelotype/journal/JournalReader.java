package dev.zelotype.journal;

import dev.zelotype.journal.JournalFields.Damaged;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * For readers of journals: reads journals scene by scene. Memory use is bounded by the largest scene. Damage only costs
 * the scene that contains it.
 *
 * <pre>{@code
 * Losses losses = JournalReader.read(
 *         Path.of("target/journal"), scene -> System.out.println(scene.title() + " " + scene.outcome()));
 * losses.lines().forEach(System.err::println);
 * }</pre>
 *
 * @since 0.2
 */
public final class JournalReader {

    private JournalReader() {}

    /**
     * Reads all journals of a folder, in the order of their names, or a single file.
     *
     * @param folderOrFile the folder or file
     * @param sink is given each scene that can be read
     * @return what could not be read
     * @throws JournalException if no journal is found, or it is of a newer version
     */
    public static Losses read(Path folderOrFile, Consumer<JournalScene> sink) {
        return read(folderOrFile, JournalSink.ofScenes(sink));
    }

    /**
     * As {@link #read(Path, Consumer)}, including claims and challenges.
     *
     * @param folderOrFile the folder or file
     * @param sink is given what can be read
     * @return what could not be read
     * @throws JournalException if no journal is found, or it is of a newer version
     */
    public static Losses read(Path folderOrFile, JournalSink sink) {
        List<Path> files = files(folderOrFile);
        Losses losses = new Losses();
        Set<String> runs = new HashSet<>();
        for (Path file : files) {
            readFile(new SceneReader(file.getFileName().toString(), sink, losses, runs), file, losses);
        }
        return losses;
    }

    private static List<Path> files(Path folderOrFile) {
        List<Path> files = new ArrayList<>();
        if (Files.isDirectory(folderOrFile)) {
            try (Stream<Path> all = Files.list(folderOrFile)) {
                all.filter(file -> file.getFileName().toString().endsWith(".jsonl"))
                        .sorted()
                        .forEach(files::add);
            } catch (IOException | UncheckedIOException e) {
                throw new JournalException(
                        "The folder " + folderOrFile + " cannot be read: " + JournalWriter.reason(e) + ".", e);
            }
        } else if (Files.exists(folderOrFile)) {
            files.add(folderOrFile);
        }
        if (files.isEmpty()) {
            throw new JournalException("No journal was found in " + folderOrFile
                    + ". Run the tests with zelotype.journal=" + folderOrFile + " first.");
        }
        return files;
    }

    private static void readFile(SceneReader scenes, Path file, Losses losses) {
        if (!Files.isRegularFile(file)) {
            // A pipe or a device may never end.
            losses.note(file.getFileName() + ": it is not a regular file, so it was not read");
            return;
        }
        int number = 0;
        try (JournalLines lines = new JournalLines(file)) {
            while (lines.next()) {
                number++;
                if (!takeLine(scenes, lines, number)) {
                    return;
                }
            }
        } catch (IOException e) {
            losses.note(file.getFileName() + ": it cannot be read: " + JournalWriter.reason(e));
        }
        scenes.end(number);
    }

    /** Processes one line; returns false if the rest of the file must not be read. */
    private static boolean takeLine(SceneReader scenes, JournalLines lines, int number) {
        try {
            String line = lines.text();
            return line.isBlank() || scenes.take(line, number);
        } catch (Damaged e) {
            scenes.damaged(number, e.getMessage());
            return true;
        }
    }
}
