package dev.zelotype.cli;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/**
 * Checks of option values that several commands share.
 */
final class OptionCheck {

    private OptionCheck() {}

    /** Refuses a value that is not a percentage. */
    static void refuseNoShare(CommandSpec spec, double failUnder) {
        if (!(failUnder >= 0 && failUnder <= 100)) {
            throw new ParameterException(
                    spec.commandLine(), "--fail-under must be between 0 and 100, but was " + failUnder + ".");
        }
    }

    /** Refuses formats that a command does not support. */
    static void refuseNoFormat(CommandSpec spec, String format, String... known) {
        if (!List.of(known).contains(format)) {
            int last = known.length - 1;
            throw new ParameterException(
                    spec.commandLine(),
                    "Unknown format '" + format + "': give "
                            + String.join(", ", List.of(known).subList(0, last)) + " or " + known[last] + ".");
        }
    }

    /** The entries of a class path that are not blank. */
    static List<String> entries(String classPath) {
        List<String> entries = new ArrayList<>();
        for (String entry : classPath.split(File.pathSeparator)) {
            if (!entry.isBlank()) {
                entries.add(entry);
            }
        }
        return entries;
    }

    /** Refuses an entry of --class-path that does not exist. */
    static void refuseMissing(CommandSpec spec, Path place) {
        if (!Files.exists(place)) {
            throw new ParameterException(
                    spec.commandLine(), place + ", given to --class-path, does not exist. Give jars and folders.");
        }
    }
}
