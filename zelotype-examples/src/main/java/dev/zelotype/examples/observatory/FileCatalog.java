package dev.zelotype.examples.observatory;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * A catalog in a text file: one target per line, with its name and altitude.
 */
public final class FileCatalog implements TargetCatalog {

    private final Path file;

    public FileCatalog(Path file) {
        this.file = file;
    }

    @Override
    public Optional<SkyTarget> find(String name) {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a target needs a name");
        }
        try {
            for (String line : Files.readAllLines(file)) {
                String[] words = line.split(" ");
                if (words[0].equals(name)) {
                    return Optional.of(new SkyTarget(name, Integer.parseInt(words[1])));
                }
            }
            return Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
