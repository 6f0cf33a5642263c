package dev.zelotype.basics;

import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Hides what no text of Zelotype's may show. It is a setting of the run, so there is one for
 * the JVM. Safe for use from any thread.
 */
public final class Mask {

    /** Replaces text that must not be shown. */
    public static final String MASKED = "***";

    /** A group of this name asks for encoded forms, too. */
    private static final String ENCODED = "(?<encoded>";

    private static final Pattern SECRET =
            Pattern.compile("(?i).*(passw|passphrase|passcode|secret|credential|pin$).*|pin|pwd");

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
     * Whether anything is hidden.
     *
     * @return true if a mask was set
     */
    public static boolean isSet() {
        return hidden != null;
    }

    /**
     * Whether what has such a name is most likely a password.
     *
     * @param name the name of a parameter or of a part of a record
     * @return true for {@code password}, {@code newPin} and the like
     */
    public static boolean isSecretName(String name) {
        return SECRET.matcher(name).matches();
    }

    /**
     * A text as it may be shown.
     *
     * @param text the text
     * @return the same, with {@value #MASKED} for what is hidden
     */
    public static String apply(String text) {
        return apply(hidden, text);
    }

    /**
     * A text as it may be shown by a mask of one's own.
     *
     * @param pattern matches what is hidden; null for nothing
     * @param text the text
     * @return the same, with {@value #MASKED} for what is hidden
     */
    public static String apply(@Nullable Pattern pattern, String text) {
        if (pattern == null) {
            return text;
        }
        try {
            String shown = pattern.matcher(text).replaceAll(MASKED);
            return pattern.pattern().contains(ENCODED) ? EncodedText.hidden(pattern, shown, MASKED) : shown;
        } catch (StackOverflowError e) {
            // The expression is too deep for a text of this length: better nothing than too much.
            return MASKED;
        }
    }

    /**
     * What led to a failure, as it may be shown.
     *
     * @param real the cause; null for none
     * @return the very object if nothing in it, its causes and their kin is hidden
     */
    public static @Nullable Throwable cause(@Nullable Throwable real) {
        return hidden == null || real == null || isHarmless(real, kin()) ? real : new MaskedCause(real, kin());
    }

    /** Those that were met, since causes may lead back to themselves. */
    private static Set<Throwable> kin() {
        return Collections.newSetFromMap(new IdentityHashMap<>());
    }

    private static boolean isHarmless(@Nullable Throwable real, Set<Throwable> met) {
        if (real == null || !met.add(real)) {
            return true;
        }
        String text = String.valueOf(real);
        return text.equals(apply(text))
                && Arrays.stream(real.getSuppressed()).allMatch(beside -> isHarmless(beside, met))
                && isHarmless(real.getCause(), met);
    }
}
