package dev.zelotype.journal;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * The kinds of lines in a journal. A line belongs to the first kind whose word is among its fields, because some lines
 * refer to others.
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

    /** The kind of a line; null if it is unknown. */
    static @Nullable LineKind of(JournalFields fields) {
        for (LineKind each : values()) {
            if (fields.has(each.word)) {
                return each;
            }
        }
        return null;
    }
}
