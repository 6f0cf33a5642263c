package dev.zelotype.basics;

import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Hides what must not appear in any text. It is a setting of the run, so there is one for the JVM. Safe for use from
 * any thread.
 */
public final class Mask {

    /** Replaces text that must not be shown. */
    public static final String MASKED = "***";

    /** A group with this name also matches encoded forms. */
    private static final String ENCODED = "(?<encoded>";

    private static final Pattern SECRET =
            Pattern.compile("(?i).*(passw|passphrase|passcode|secret|credential|pin$).*|pin|pwd");

    private static volatile @Nullable Pattern hidden;

    private Mask() {}

    /**
     * Sets what must not appear in any text.
     *
     * @param pattern matches the text to hide; null to hide nothing
     */
    public static void set(@Nullable Pattern pattern) {
        hidden = pattern;
    }

    /**
     * Tells whether anything is hidden.
     *
     * @return true if a mask was set
     */
    public static boolean isSet() {
        return hidden != null;
    }

    /**
     * Tells whether a name is most likely that of a password.
     *
     * @param name the name of a parameter or of a record component
     * @return true for {@code password}, {@code newPin} and the like
     */
    public static boolean isSecretName(String name) {
        return SECRET.matcher(name).matches();
    }

    /**
     * Masks a text.
     *
     * @param text the text
     * @return the text, with {@value #MASKED} for hidden parts
     */
    public static String apply(String text) {
        return apply(hidden, text);
    }

    /**
     * Masks a text with a given mask.
     *
     * @param pattern matches the text to hide; null to hide nothing
     * @param text the text
     * @return the text, with {@value #MASKED} for hidden parts
     */
    public static String apply(@Nullable Pattern pattern, String text) {
        if (pattern == null) {
            return text;
        }
        try {
            String shown = pattern.matcher(text).replaceAll(MASKED);
            return pattern.pattern().contains(ENCODED) ? EncodedText.hidden(pattern, shown, MASKED) : shown;
        } catch (StackOverflowError e) {
            // The expression is too deep for a text of this length: hiding too much is better than too little.
            return MASKED;
        }
    }

    /**
     * Masks the cause of a failure.
     *
     * @param real the cause, or null
     * @return the same object if nothing in it, its causes and its suppressed exceptions is hidden
     */
    public static @Nullable Throwable cause(@Nullable Throwable real) {
        return hidden == null || real == null || isHarmless(real, kin()) ? real : new MaskedCause(real, kin());
    }

    /** Exceptions seen so far, because causes may form a cycle. */
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
