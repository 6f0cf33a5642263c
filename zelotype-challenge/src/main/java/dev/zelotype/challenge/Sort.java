package dev.zelotype.challenge;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * For builds and tools: what a disturbance changes.
 */
public enum Sort {
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
    EXTRA;

    /** Whether a value is altered that somebody gets: of several others it takes one that is noticed. */
    boolean isOfValue() {
        return this == ANSWER || this == RESULT;
    }

    private static String all() {
        String words = Arrays.stream(values()).map(Sort::word).collect(Collectors.joining(", "));
        int last = words.lastIndexOf(", ");
        return words.substring(0, last) + " or " + words.substring(last + 2);
    }

    /**
     * The sort as the word that is typed and shown.
     *
     * @return the name in lower case
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The sorts of a list as typed on a command line or in a build file.
     *
     * @param words the words, in any letters
     * @return the sorts; all of them if there is no word
     * @throws ChallengeException if a word is no sort
     */
    public static Set<Sort> ofWords(List<String> words) {
        Set<Sort> sorts = EnumSet.noneOf(Sort.class);
        for (String word : words) {
            sorts.add(Arrays.stream(values())
                    .filter(sort -> sort.word().equalsIgnoreCase(word.strip()))
                    .findFirst()
                    .orElseThrow(() -> new ChallengeException("There is no sort '" + word + "': give " + all() + ".")));
        }
        return sorts.isEmpty() ? EnumSet.allOf(Sort.class) : sorts;
    }
}
