package dev.zelotype.generate;

import dev.zelotype.tools.Sentences;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * For builds and tools: a kind of double as source.
 *
 * @since 0.2
 */
public enum Style {
    /** An abstract class with an empty answer for every method; a test overrides what it needs. */
    BASE("Base"),
    /** A class whose answers are set for each method. */
    STUB("Stub"),
    /** A class whose answers are set for each method; a call that is not set fails and names the missing line. */
    STRICT("StrictStub"),
    /** A wrapper around a real object, or around none, that records all calls as typed records. */
    SPY("Spy"),
    /** A skeleton in which every method throws until it is written. */
    FAKE("Fake"),
    /**
     * A fake that already works where names and types reveal the purpose of a method: a store of values by key, a
     * queue, listeners. Its javadoc states what was recognized; the rest throws until it is written.
     */
    WORKING_FAKE("WorkingFake"),
    /**
     * The class that Zelotype would generate at run time; if it is on the class path, it is used instead, for every
     * kind of double. It is in the package of the doubled type.
     */
    LINKED("$ZelotypeDouble");

    private final String suffix;

    Style(String suffix) {
        this.suffix = suffix;
    }

    /**
     * Returns what is appended to the name of the doubled type.
     *
     * @return the suffix
     */
    public String suffix() {
        return suffix;
    }

    /**
     * Returns the style in the form used on the command line.
     *
     * @return the name in lower case, with hyphens
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * Parses a list from a command line or a build file.
     *
     * @param words the words, in upper or lower case
     * @return the styles
     * @throws GenerateException if a word is not a style
     */
    public static Set<Style> ofWords(List<String> words) {
        Set<Style> styles = EnumSet.noneOf(Style.class);
        for (String word : words) {
            styles.add(Arrays.stream(values())
                    .filter(style -> style.word().equalsIgnoreCase(word.strip()))
                    .findFirst()
                    .orElseThrow(() -> new GenerateException(Sentences.unknown(
                            "style",
                            word.strip(),
                            Arrays.stream(values()).map(Style::word).toList()))));
        }
        return styles;
    }
}
