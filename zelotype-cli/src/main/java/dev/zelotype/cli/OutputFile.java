package dev.zelotype.cli;

import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/**
 * The files that commands write for their users.
 */
final class OutputFile {

    private OutputFile() {}

    static void write(Path file, WholeFiles.Content content) {
        try {
            WholeFiles.write(file, content);
        } catch (IOException e) {
            throw new UncheckedIOException(file + " cannot be written: " + WholeFiles.reason(e) + ".", e);
        }
    }

    /** Prints a text, or writes it to a file if one is given. */
    static void show(Terminal terminal, @Nullable Path into, String text) {
        if (into == null) {
            terminal.out().print(text);
            terminal.out().flush();
        } else {
            write(into, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
            terminal.out().println("written to " + into);
        }
    }

    /** Refuses a path that cannot be a file to write. */
    static void refuseFolder(CommandSpec spec, @Nullable Path into) {
        if (into == null) {
            return;
        }
        if (into.toString().isBlank()) {
            throw new ParameterException(spec.commandLine(), "--into is empty: give a file, or leave it out.");
        }
        if (Files.isDirectory(into)) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--into=" + into + " is a folder: give the file to write, such as " + into.resolve("out") + ".");
        }
    }

    /** Refuses a path that cannot be a folder to write to. */
    static void refuseNoFolder(CommandSpec spec, Path into) {
        if (into.toString().isBlank()) {
            throw new ParameterException(spec.commandLine(), "--into is empty: give a folder.");
        }
        if (into.toAbsolutePath().normalize().getFileName() == null) {
            throw new ParameterException(
                    spec.commandLine(), "--into=" + into + " is the root of all files: give a folder of your own.");
        }
        if (Files.exists(into) && !Files.isDirectory(into)) {
            throw new ParameterException(spec.commandLine(), "--into=" + into + " is a file: give a folder.");
        }
    }
}
