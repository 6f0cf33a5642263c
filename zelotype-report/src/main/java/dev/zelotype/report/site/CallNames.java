package dev.zelotype.report.site;

import java.util.List;
import java.util.regex.Pattern;

/**
 * What the names of methods tell: whether a call asks, or does something. That a method gives something back tells neither:
 * {@code append} and {@code save} do.
 */
final class CallNames {

    private static final Pattern ASKS = Pattern.compile(
            "(get|is|has|find|count|can|should|contains|exists|list|lookup|fetch|search|size|length|total|current)"
                    + "(?![a-z]).*");

    /** Words within a name that asks, and yet does something. */
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

    private CallNames() {}

    /** Whether a method asks by its name alone. */
    static boolean asks(String signature) {
        String name = name(signature);
        return ASKS.matcher(name).matches() && !DOES_AS_WELL.matcher(name).matches();
    }

    /** Whether a method may be the name of a property, as {@code humidity()}: it has no parameters, and is not a verb. */
    static boolean mayNameProperty(String signature) {
        String name = name(signature);
        String first = name.replaceFirst("[A-Z].*", "");
        return signature.endsWith("()")
                && !VERBS.contains(first)
                && !ASKS.matcher(name).matches();
    }

    private static String name(String signature) {
        return signature.substring(0, Math.max(0, signature.indexOf('(')));
    }
}
