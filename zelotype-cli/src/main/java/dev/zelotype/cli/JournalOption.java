package dev.zelotype.cli;

import dev.zelotype.journal.JournalException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.journal.Losses;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.stream.Stream;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * The option for the journal folder, and how commands handle damaged journals; shared by all commands that read
 * journals.
 */
final class JournalOption {

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    @Option(
            names = "--journal",
            paramLabel = "FOLDER",
            defaultValue = "target/journal",
            description = "The folder, or one file, of the journal. Default: ${DEFAULT-VALUE}.")
    private Path journal;

    @Option(names = "--strict", description = "Refuses a journal with any unreadable part.")
    private boolean strict;

    /** The default journal. */
    static JournalOption of(Path folder) {
        JournalOption option = new JournalOption();
        option.journal = folder;
        return option;
    }

    Path path() {
        return journal;
    }

    /** Whether there is a journal of tests, in addition to what a challenge may have left there. */
    boolean hasFiles() {
        if (!Files.isDirectory(journal)) {
            return Files.exists(journal);
        }
        try (Stream<Path> files = Files.list(journal)) {
            return files.anyMatch(each -> each.toString().endsWith(".jsonl"));
        } catch (IOException e) {
            throw new UncheckedIOException(
                    "The folder " + journal + " cannot be read: " + WholeFiles.reason(e) + ".", e);
        }
    }

    /** Reads the journal; damaged parts are reported or refused. */
    void read(Terminal terminal, Consumer<JournalScene> scenes) {
        read(terminal, JournalSink.ofScenes(scenes));
    }

    /** As {@link #read(Terminal, Consumer)}, including claims and challenges. */
    void read(Terminal terminal, JournalSink sink) {
        if (journal.toString().isEmpty()) {
            throw new ParameterException(
                    spec.commandLine(), "--journal is empty: give a folder, such as target/journal.");
        }
        Losses losses = JournalReader.read(journal, sink);
        if (strict && !losses.isEmpty()) {
            throw new JournalException(String.join(System.lineSeparator(), losses.lines()));
        }
        losses.lines().forEach(terminal.err()::println);
    }
}
