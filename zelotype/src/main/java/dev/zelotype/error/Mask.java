package dev.zelotype.error;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own modules: hides what no text of Zelotype's may show. It is a setting of the run, so there is one for
 * the JVM. Safe for use from any thread.
 */
public final class Mask {

    /** What stands in the place of what must not be shown. */
    public static final String MASKED = "***";

    /** Causes that lie deeper, or that lead back to themselves, are not followed. */
    private static final int DEEPEST = 50;

    private static volatile @Nullable Pattern hidden;

    private Mask() {}

    /**
     * Says what no text may show from now on.
     *
     * @param pattern matches what is hidden; null for nothing
     */
    public static void set(@Nullable Pattern pattern) {
        hidden = pattern;
    }

    /**
     * A text as it may be shown.
     *
     * @param text the text
     * @return the same, with {@value #MASKED} for what is hidden
     */
    public static String apply(String text) {
        Pattern pattern = hidden;
        if (pattern == null) {
            return text;
        }
        try {
            return pattern.matcher(text).replaceAll(MASKED);
        } catch (StackOverflowError e) {
            // The expression is too deep for a text of this length: better nothing than too much.
            return MASKED;
        }
    }

    /** What led to a failure, as it may be shown: the very object if nothing in it, its causes and their kin is hidden. */
    static @Nullable Throwable cause(@Nullable Throwable real) {
        return hidden == null || real == null || isHarmless(real, 0) ? real : new MaskedCause(real);
    }

    private static boolean isHarmless(Throwable real, int depth) {
        String text = String.valueOf(real);
        if (depth > DEEPEST || !text.equals(apply(text))) {
            return false;
        }
        for (Throwable beside : real.getSuppressed()) {
            if (!isHarmless(beside, depth + 1)) {
                return false;
            }
        }
        return real.getCause() == null || isHarmless(real.getCause(), depth + 1);
    }
}
