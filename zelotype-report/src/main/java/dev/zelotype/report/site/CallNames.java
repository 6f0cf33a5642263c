package dev.zelotype.report.site;

import java.util.List;
import java.util.regex.Pattern;

/**
 * What the names of methods reveal: whether a call is a query or a command. A return value reveals neither: {@code
 * append} and {@code save} return something.
 */
final class CallNames {

    private static final Pattern ASKS = Pattern.compile(
            "(get|is|has|find|count|can|should|contains|exists|list|lookup|fetch|search|size|length|total|current)"
                    + "(?![a-z]).*");

    /** Words in the name of a query that also does something. */
    private static final Pattern DOES_AS_WELL =
            Pattern.compile(".*(And|Or)(?![a-z]).*|.*(Next|Remove|Take|Lock|Reset)(?![a-z]).*");

    private static final List<String> VERBS = List.of(
            "open",
            "close",
            "start",
            "stop",
            "run",
            "park",
            "reset",
            "clear",
            "flush",
            "commit",
            "begin",
            "end",
            "next",
            "poll",
            "pop",
            "take",
            "refresh",
            "reload",
            "ping",
            "connect",
            "lock",
            "unlock",
            "acquire",
            "release",
            "submit",
            "call",
            "execute",
            "apply",
            "accept",
            "test",
            "read",
            "pull",
            "advance",
            "increment",
            "calibrate",
            "join",
            "cancel");

    /** Verbs before a preposition: they do something at a place, or for a person. */
    private static final List<String> MOVES = List.of(
            "send", "wait", "sleep", "move", "slew", "put", "add", "set", "save", "write", "note", "append", "print",
            "go", "notify", "call", "book", "reserve", "look", "expose", "create", "make", "issue", "delete", "remove");

    private static final Pattern FOUND_BY = Pattern.compile("[a-z]+([A-Z][a-z]+)*?(At|Of|For|By|In|Between|On|From)");

    private static final Pattern TIME =
            Pattern.compile("(.*[.$])?\\w*(Clock|Ticker|TimeSource|InstantSource|Chronometer|Stopwatch|Time)"
                    + "\\.(now|instant|millis|nanos|nanoTime|currentTimeMillis|currentTime|time|today|read|elapsed)"
                    + "\\(.*\\)");

    private CallNames() {}

    /** Whether the name alone shows that a method is a query. */
    static boolean asks(String signature) {
        String name = name(signature);
        // With an argument, as in count(frame), it may well be a command.
        boolean counts = name.equals("count") && !signature.endsWith("()");
        return !counts
                && ASKS.matcher(name).matches()
                && !DOES_AS_WELL.matcher(name).matches();
    }

    /** Whether a method may be a property, for example {@code humidity()}: it has no parameters, and is not a verb. */
    static boolean mayNameProperty(String signature) {
        String name = name(signature);
        String first = name.replaceFirst("[A-Z].*", "");
        return signature.endsWith("()")
                && !VERBS.contains(first)
                && !ASKS.matcher(name).matches();
    }

    /**
     * As {@link #mayNameProperty}, or a name with a preposition before its key, for example {@code humidityAt(String)}.
     */
    static boolean mayBeNamedForWhatItGives(String signature) {
        String name = name(signature);
        String first = name.replaceFirst("[A-Z].*", "");
        return mayNameProperty(signature)
                || !VERBS.contains(first)
                        && !MOVES.contains(first)
                        && FOUND_BY.matcher(name).matches()
                        && !DOES_AS_WELL.matcher(name).matches();
    }

    /** Whether a method of a type returns the time. */
    static boolean tellsTime(String method) {
        return TIME.matcher(method).matches();
    }

    private static String name(String signature) {
        return signature.substring(0, Math.max(0, signature.indexOf('(')));
    }
}
