package dev.zelotype.generate;

import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;

/**
 * For builds: remembers in a file what a run was given and what it wrote, so that a run with nothing new need not read
 * anything. A file counts as changed if its size or the time of its last change differs.
 *
 * <pre>{@code
 * LastRun last = new LastRun(Path.of("target/zelotype/generate.txt"), List.of("stub"), List.of(Path.of("src/main/java")));
 * if (!last.isStillRight()) {
 *     List<Outcome> outcomes = plan.write(false);
 *     last.remember(outcomes.stream().map(Outcome::file).toList(), List.of());
 * }
 * }</pre>
 *
 * <p>Nulls are refused. For one thread.
 */
public final class LastRun {

    private static final String NOTE = "note ";

    /** Another generator may write other doubles. */
    private static final Path OWN_CODE = ownCode();

    private final Path memory;
    private final String given;
    private final List<String> remembered;

    /**
     * Looks at what is given now, and at what was remembered.
     *
     * @param memory the file that remembers; there is none before the first run
     * @param settings all that decides what is written, apart from files
     * @param inputs files, jars with the sources beside them, and folders with all that is in them; one that is missing
     *     counts as such
     * @throws GenerateException if an input cannot be looked at
     */
    public LastRun(Path memory, List<String> settings, List<Path> inputs) {
        this.memory = memory;
        List<String> facts = new ArrayList<>(settings);
        facts.addAll(stateOf(OWN_CODE));
        for (Path input : inputs) {
            facts.addAll(stateOf(input));
            SourceJars.beside(input).ifPresent(sources -> facts.addAll(stateOf(sources)));
        }
        this.given = digest(facts);
        this.remembered = read(memory);
    }

    /**
     * Whether the last run was given the same, and all that it wrote is as it left it.
     *
     * @return true if another run would change nothing
     */
    public boolean isStillRight() {
        return remembered.size() > 1
                && remembered.get(0).equals(given)
                && remembered
                        .get(1)
                        .equals(digest(outputs().stream()
                                .flatMap(file -> stateOf(file).stream())
                                .toList()));
    }

    /**
     * The files that the last run wrote or found up to date.
     *
     * @return in the order in which they were remembered; empty before the first run
     */
    public List<Path> outputs() {
        return remembered.stream()
                .skip(2)
                .filter(line -> !line.startsWith(NOTE))
                .map(Path::of)
                .toList();
    }

    /**
     * What the last run had to say, to be said again by a run that is spared.
     *
     * @return one line each; empty before the first run
     */
    public List<String> notes() {
        return remembered.stream()
                .skip(2)
                .filter(line -> line.startsWith(NOTE))
                .map(line -> line.substring(NOTE.length()))
                .toList();
    }

    /**
     * Remembers this run in the place of the last one.
     *
     * @param outputs the files that stand there now
     * @param notes what the run had to say, one line each
     * @throws GenerateException if it cannot be written
     */
    public void remember(Collection<Path> outputs, List<String> notes) {
        List<String> lines = new ArrayList<>();
        lines.add(given);
        lines.add(
                digest(outputs.stream().flatMap(file -> stateOf(file).stream()).toList()));
        outputs.forEach(file -> lines.add(file.toString()));
        notes.forEach(note -> lines.add(NOTE + note.replace('\n', ' ')));
        try {
            WholeFiles.write(memory, String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new GenerateException("Cannot write " + memory + ": " + WholeFiles.reason(e) + ".");
        }
    }

    private static Path ownCode() {
        try {
            return Path.of(LastRun.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> read(Path memory) {
        try {
            return Files.isRegularFile(memory) ? Files.readAllLines(memory) : List.of();
        } catch (IOException e) {
            // Whatever makes it unreadable: a run that is not spared is always right.
            return List.of();
        }
    }

    private static List<String> stateOf(Path place) {
        if (!Files.exists(place)) {
            return List.of(place + " is missing");
        }
        try (Stream<Path> files = Files.walk(place)) {
            List<String> states = new ArrayList<>();
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
                states.add(file + " " + attributes.size() + " " + attributes.lastModifiedTime());
            }
            return states;
        } catch (UncheckedIOException e) {
            throw new GenerateException("Cannot read " + place + ": " + WholeFiles.reason(e.getCause()) + ".");
        } catch (IOException e) {
            throw new GenerateException("Cannot read " + place + ": " + WholeFiles.reason(e) + ".");
        }
    }

    private static String digest(List<String> facts) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest(String.join("\n", facts).getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every JDK knows SHA-256.", e);
        }
    }
}
