package dev.zelotype.cli;

import dev.zelotype.tools.Sentences;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
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
            throw new ParameterException(spec.commandLine(), Sentences.unknown("format", format, List.of(known)));
        }
    }

    /** Finds the constant that a word names, in upper or lower case. */
    static <E extends Enum<E>> E constant(CommandSpec spec, String kind, String word, E[] known) {
        for (E each : known) {
            if (each.name().equalsIgnoreCase(word)) {
                return each;
            }
        }
        List<String> words = Stream.of(known)
                .map(each -> each.name().toLowerCase(Locale.ROOT))
                .toList();
        throw new ParameterException(spec.commandLine(), Sentences.unknown(kind, word, words));
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
