package dev.zelotype.challenge.change;

import dev.zelotype.challenge.error.ChallengeException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * For builds and tools: what a disturbance changes: an answer, an argument, whether the call is made at all.
 *
 * @since 0.2
 */
public enum ChangeKind {
    /** The subject gets another answer. */
    ANSWER,
    /** The call is neither recorded nor passed on. */
    LOST,
    /** Another argument is recorded, matched and answered. */
    ARGUMENT,
    /** A callback that the answer runs is not run. */
    CALLBACK,
    /** The call is recorded once more, where a test says exactly how many there are. */
    TWICE,
    /** The test gets another result of the subject. */
    RESULT,
    /** A call that other tests of the class check is made where it is not made. */
    EXTRA,
    /** The call throws: what the collaborator declares, or else a RuntimeException. */
    THROWN,
    /** The future that the call returns never completes. */
    SILENT,
    /** The call is made after the next one of another collaborator. Only if it is asked for. */
    ORDER;

    /**
     * Whether a value that is passed on is altered: it is enough if one of several other values is noticed.
     *
     * @return whether it is
     */
    public boolean isOfValue() {
        return this == ANSWER || this == RESULT;
    }

    /**
     * Whether only the author of a test knows if it should be noticed, so that it counts for nothing.
     *
     * @return whether it is
     */
    public boolean isQuestion() {
        return this == EXTRA || this == THROWN || this == SILENT || this == ORDER;
    }

    /**
     * The kinds that are changed unless others are asked for.
     *
     * @return all but {@link #ORDER}
     */
    public static Set<ChangeKind> usual() {
        return EnumSet.complementOf(EnumSet.of(ORDER));
    }

    private static String all() {
        String words = Arrays.stream(values()).map(ChangeKind::word).collect(Collectors.joining(", "));
        int last = words.lastIndexOf(", ");
        return words.substring(0, last) + " or " + words.substring(last + 2);
    }

    /**
     * The kind as the word that is typed and shown.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The kinds of a list as typed on a command line or in a build file.
     *
     * @param words the words, in any letters
     * @return the kinds; the {@linkplain #usual() usual} ones if no word is given
     * @throws ChallengeException if a word is none
     */
    public static Set<ChangeKind> ofWords(List<String> words) {
        Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
        for (String word : words) {
            kinds.add(Arrays.stream(values())
                    .filter(kind -> kind.word().equalsIgnoreCase(word.strip()))
                    .findFirst()
                    .orElseThrow(() -> new ChallengeException("Unknown change '" + word + "': give " + all() + ".")));
        }
        return kinds.isEmpty() ? usual() : kinds;
    }
}
