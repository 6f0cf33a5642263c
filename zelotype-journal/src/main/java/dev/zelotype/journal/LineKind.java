package dev.zelotype.journal;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What a line of a journal tells: that whose word is the first of these among its fields, since some lines refer to others.
 */
enum LineKind {
    CLAIM,
    CHALLENGE,
    CHALLENGED,
    DISTURBED,
    CALL,
    STATEMENT,
    TYPE,
    SCENE,
    END,
    MISSING,
    JOURNAL;

    private final String word = name().toLowerCase(Locale.ROOT);

    /** The kind of a line; null if it is of none that is known. */
    static @Nullable LineKind of(JournalFields fields) {
        for (LineKind each : values()) {
            if (fields.has(each.word)) {
                return each;
            }
        }
        return null;
    }
}
