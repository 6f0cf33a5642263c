package dev.zelotype.engine.explain;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Hides what no text of Zelotype's may show. It is a setting of the run, so there is one for the JVM.
 */
public final class Mask {

    /** What stands in the place of what must not be shown. */
    public static final String MASKED = "***";

    private static volatile @Nullable Pattern hidden;

    private Mask() {}

    /** Says what no text may show from now on; null for nothing. */
    public static void set(@Nullable Pattern pattern) {
        hidden = pattern;
    }

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
}
