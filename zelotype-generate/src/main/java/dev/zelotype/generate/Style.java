package dev.zelotype.generate;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * For builds and tools: what sort of double is written.
 *
 * @since 0.2
 */
public enum Style {
    /** An abstract class with an empty answer for every method; a test overrides what it needs. */
    BASE("Base"),
    /** A class whose answers are set, method by method. */
    STUB("Stub"),
    /** A class whose answers are set, method by method; a call that is not set fails and says which line is missing. */
    STRICT("StrictStub"),
    /** A wrapper over a real object, or none, that keeps all calls as typed records. */
    SPY("Spy"),
    /** A skeleton in which every method throws until it is written. */
    FAKE("Fake"),
    /**
     * A fake that works already where names and types show what a method is for: a store of values by their key, a queue,
     * listeners. Its comment says what was recognised; the rest throws until it is written.
     */
    WORKING_FAKE("WorkingFake"),
    /**
     * The class that Zelotype would make while the tests run; found on the class path, it is used instead, for every
     * kind of double. It is in the package of the doubled type.
     */
    LINKED("$ZelotypeDouble");

    private final String suffix;

    Style(String suffix) {
        this.suffix = suffix;
    }

    /**
     * What is added to the doubled type's name.
     *
     * @return the suffix
     */
    public String suffix() {
        return suffix;
    }

    /**
     * The style as typed on a command line.
     *
     * @return the name in lower case, with hyphens
     */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The styles of a list as typed on a command line or in a build file.
     *
     * @param words the words, in any letters
     * @return the styles
     * @throws GenerateException if a word is not a style
     */
    public static Set<Style> ofWords(List<String> words) {
        Set<Style> styles = EnumSet.noneOf(Style.class);
        for (String word : words) {
            styles.add(Arrays.stream(values())
                    .filter(style -> style.word().equalsIgnoreCase(word.strip()))
                    .findFirst()
                    .orElseThrow(() -> new GenerateException("Unknown style '" + word.strip()
                            + "': give base, stub, strict, spy, fake, working-fake or linked.")));
        }
        return styles;
    }
}
