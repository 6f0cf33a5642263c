package dev.zelotype.cli;

import dev.zelotype.report.site.Sources;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Prints places as links to their source files, with the control sequence that terminals share (OSC 8): the visible
 * text stays the same.
 */
final class Links {

    /** A file with a line, optionally preceded by class and method as in a stack trace. */
    private static final Pattern PLACE =
            Pattern.compile("(?:([\\w$.]+)\\.[\\w$<>]+\\()?([\\w$]+\\.(?:java|kt|groovy|scala)):\\d+\\)?");

    private static final String BEGIN = "\u001B]8;;";
    private static final String END = "\u001B\\";

    private final Sources sources;
    private final boolean shown;

    Links(Sources sources, Terminal terminal) {
        this.sources = sources;
        this.shown = terminal.links();
    }

    /** Whether the terminal is known to support links, according to the environment. */
    static boolean areFollowed(Map<String, String> environment) {
        String vte = environment.getOrDefault("VTE_VERSION", "");
        return vte.matches("\\d{4,}") && Integer.parseInt(vte) >= 5000
                || environment.containsKey("WT_SESSION")
                || environment.containsKey("KITTY_WINDOW_ID")
                || environment.containsKey("KONSOLE_VERSION")
                || environment.containsKey("DOMTERM")
                || environment
                        .getOrDefault("TERM_PROGRAM", "")
                        .matches("iTerm\\.app|WezTerm|vscode|ghostty|Hyper|Tabby");
    }

    /** A line with a link for each place whose file is known. */
    String in(String line) {
        return shown && sources != Sources.NONE ? PLACE.matcher(line).replaceAll(this::linked) : line;
    }

    private String linked(MatchResult place) {
        String type = place.group(1);
        String folders = type == null || type.indexOf('.') < 0
                ? ""
                : type.substring(0, type.lastIndexOf('.') + 1).replace('.', '/');
        Path file = sources.file(folders + place.group(2));
        String text = file == null
                ? place.group()
                : BEGIN + file.toAbsolutePath().normalize().toUri() + END + place.group() + BEGIN + END;
        return Matcher.quoteReplacement(text);
    }
}
