package dev.zelotype.journal;

import java.util.regex.Pattern;

/**
 * Hides what must not be shown.
 */
final class Mask {

    private final Pattern hidden;

    Mask(Pattern hidden) {
        this.hidden = hidden;
    }

    String apply(String text) {
        try {
            return hidden.matcher(text).replaceAll(JournalWriter.MASKED);
        } catch (StackOverflowError e) {
            // The expression is too deep for a text of this length: better nothing than too much.
            return JournalWriter.MASKED;
        }
    }
}
