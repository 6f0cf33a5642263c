package dev.zelotype.tools;

import java.util.ArrayList;
import java.util.List;

/**
 * For Zelotype's own tools: sentences that must be broken or shortened, or that several tools write. Stateless.
 */
public final class Sentences {

    private Sentences() {}

    /**
     * Refuses a word that names none of several things.
     *
     * @param kind what the word should name, such as "format"
     * @param word the word
     * @param known the words to choose from, at least two
     * @return a sentence that names them
     */
    public static String unknown(String kind, String word, List<String> known) {
        int last = known.size() - 1;
        return "Unknown " + kind + " '" + word + "': give " + String.join(", ", known.subList(0, last)) + " or "
                + known.get(last) + ".";
    }

    /**
     * Returns the beginning of a text, without splitting a surrogate pair.
     *
     * @param text the text
     * @param length its maximum length, at most that of the text
     * @return the beginning
     */
    public static String start(String text, int length) {
        boolean halves = length > 0 && length < text.length() && Character.isHighSurrogate(text.charAt(length - 1));
        return text.substring(0, halves ? length - 1 : length);
    }

    /**
     * Breaks a sentence between words. It is indented, and its further lines a little more. Text in the form of a stack
     * frame is never broken, because consoles link it only then.
     *
     * @param sentence the sentence
     * @param width the maximum number of characters per line; a longer word gets its own line
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
