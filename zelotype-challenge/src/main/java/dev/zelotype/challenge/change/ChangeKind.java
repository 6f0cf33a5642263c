package dev.zelotype.challenge.change;

import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.tools.Sentences;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * For builds and tools: what a disturbance changes, for example an answer, an argument, or whether the call is made at
 * all.
 *
 * @since 0.2
 */
public enum ChangeKind {
    /** The subject gets another answer. */
    ANSWER,
    /** The call is neither recorded nor passed on. */
    LOST,
    /** Another argument is recorded, matched and used for the answer. */
    ARGUMENT,
    /** A callback is not run. */
    CALLBACK,
    /** The call is recorded once more, if a test states the exact number. */
    TWICE,
    /** The test gets another result from the subject. */
    RESULT,
    /** A call that other tests of the class check is added to a test that does not make it. */
    EXTRA,
    /** The call throws an exception that the collaborator declares, or else a RuntimeException. */
    THROWN,
    /** The future that the call returns never completes. */
    SILENT,
    /** The call is delayed until after the next call of another collaborator. Only on request. */
    ORDER;

    /**
     * Tells whether a value is altered: it is enough if one of several other values is noticed.
     *
     * @return whether it is
     */
    public boolean isOfValue() {
        return this == ANSWER || this == RESULT;
    }

    /**
     * Tells whether only the author of a test knows if it should be noticed, so that it does not count.
     *
     * @return whether it is
     */
    public boolean isQuestion() {
        return this == EXTRA || this == THROWN || this == SILENT || this == ORDER;
    }

    /**
     * Returns the kinds that are used by default.
     *
     * @return all but {@link #ORDER}
     */
    public static Set<ChangeKind> usual() {
        return EnumSet.complementOf(EnumSet.of(ORDER));
    }

    /**
     * Returns the kind as the word used on the command line and in reports.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * Parses a list from a command line or a build file.
     *
     * @param words the words, in upper or lower case
     * @return the kinds; the {@linkplain #usual() usual} ones if no word is given
     * @throws ChallengeException if a word is unknown
     */
    public static Set<ChangeKind> ofWords(List<String> words) {
        Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
        for (String word : words) {
            kinds.add(Arrays.stream(values())
                    .filter(kind -> kind.word().equalsIgnoreCase(word.strip()))
                    .findFirst()
                    .orElseThrow(() -> new ChallengeException(Sentences.unknown(
                            "change",
                            word,
                            Arrays.stream(values()).map(ChangeKind::word).toList()))));
        }
        return kinds.isEmpty() ? usual() : kinds;
    }
}
