package dev.zelotype.tools;

import java.util.ArrayList;
import java.util.List;

/**
 * For Zelotype's own tools: sentences that are longer than a line, or than there is room. Stateless.
 */
public final class Sentences {

    private Sentences() {}

    /**
     * The beginning of a text, never with half of a character at its end.
     *
     * @param text the text
     * @param length how long it may be, at most as long as the text
     * @return the beginning
     */
    public static String start(String text, int length) {
        boolean halves = length > 0 && length < text.length() && Character.isHighSurrogate(text.charAt(length - 1));
        return text.substring(0, halves ? length - 1 : length);
    }

    /**
     * Breaks a sentence between words. It stands a little further in, and what follows the first line a little more. What
     * is written as in a stack trace stays whole, since consoles lead to such a place only then.
     *
     * @param sentence the sentence
     * @param width how many characters a line may take; a longer word takes a line of its own
     * @return lines
     */
    public static List<String> wrapped(String sentence, int width) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder("  ");
        for (String word : sentence.split("(?<!\\bat) | (?!\\S+\\(\\S+:\\d+\\))")) {
            if (line.length() + word.length() >= width && line.length() > 4) {
                lines.add(line.toString());
                line.setLength(0);
                line.append("    ");
            } else if (!line.toString().isBlank()) {
                line.append(' ');
            }
            line.append(word);
        }
        lines.add(line.toString());
        return lines;
    }
}
