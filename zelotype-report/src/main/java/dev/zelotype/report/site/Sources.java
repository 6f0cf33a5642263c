package dev.zelotype.report.site;

import dev.zelotype.tools.Folders;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: the source lines of calls, if the sources are available. For one thread.
 *
 * <pre>{@code
 * Sources.in(List.of(Path.of("src/main/java"))).line("NightRun.java:66");
 * }</pre>
 */
public final class Sources {

    /** No sources. */
    public static final Sources NONE = new Sources(Map.of());

    private static final int FILES_KEPT = 50;

    private final Map<String, List<Path>> files;
    private final Map<Path, List<String>> read = new LinkedHashMap<>();

    private Sources(Map<String, List<Path>> files) {
        this.files = files;
    }

    /**
     * Searches folders for sources, at any depth.
     *
     * @param folders the folders, with source files of Java, Kotlin, Groovy and Scala
     * @return the sources
     * @throws ReportException if one of the folders cannot be read, or it contains no sources
     */
    public static Sources in(List<Path> folders) {
        Map<String, List<Path>> found = new HashMap<>();
        for (Path folder : folders) {
            try (Stream<Path> all = Folders.walk(folder)) {
                List<Path> sources = all.filter(file ->
                                file.toString().matches(".*\\.(java|kt|groovy|scala)") && Files.isRegularFile(file))
                        .toList();
                if (sources.isEmpty()) {
                    throw new ReportException(
                            "No source of Java, Kotlin, Groovy or Scala was found in " + folder
                                    + ". Give folders of sources, such as src/main/java.",
                            null);
                }
                sources.forEach(file -> found.computeIfAbsent(file.getFileName().toString(), first -> new ArrayList<>())
                        .add(file));
            } catch (UncheckedIOException e) {
                throw failed(folder, e.getCause());
            } catch (IOException e) {
                throw failed(folder, e);
            }
        }
        return new Sources(found);
    }

    private static ReportException failed(Path folder, IOException e) {
        return new ReportException(
                "The sources in " + folder + " cannot be read: " + WholeFiles.reason(e)
                        + ". Give folders of sources, such as src/main/java.",
                e);
    }

    /**
     * Returns the text of a line.
     *
     * @param place the name of its file, a colon and its number
     * @return the text without surrounding blanks; empty if the file is missing or ambiguous, or has no such line
     */
    public String line(String place) {
        int colon = place.lastIndexOf(':');
        List<Path> named = colon < 0 ? List.of() : files.getOrDefault(place.substring(0, colon), List.of());
        if (named.size() != 1) {
            return "";
        }
        int number = Integer.parseInt(place.substring(colon + 1));
        List<String> lines = lines(named.get(0));
        return number >= 1 && number <= lines.size() ? lines.get(number - 1).strip() : "";
    }

    /**
     * Returns the file of a class.
     *
     * @param path the folders of its package and its name, separated by slashes
     * @return the file; null if it is missing or ambiguous
     */
    public @Nullable Path file(String path) {
        List<Path> fitting = files.getOrDefault(path.substring(path.lastIndexOf('/') + 1), List.of()).stream()
                .filter(file -> file.endsWith(path))
                .toList();
        return fitting.size() == 1 ? fitting.get(0) : null;
    }

    private List<String> lines(Path file) {
        List<String> known = read.get(file);
        if (known == null) {
            if (read.size() == FILES_KEPT) {
                read.remove(read.keySet().iterator().next());
            }
            known = linesOf(file);
            read.put(file, known);
        }
        return known;
    }

    private static List<String> linesOf(Path file) {
        try {
            // Whatever its encoding, invalid bytes are shown as replacement characters.
            return new String(Files.readAllBytes(file), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        } catch (IOException e) {
            // It existed a moment ago; the story is shown without it.
            return List.of();
        }
    }
}
