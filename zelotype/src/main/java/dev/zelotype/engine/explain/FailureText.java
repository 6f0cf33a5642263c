package dev.zelotype.engine.explain;

import java.util.List;

/**
 * The one layout of all failures: a sentence, then titled sections.
 */
public final class FailureText {

    private final StringBuilder out = new StringBuilder();

    public FailureText(String sentence) {
        out.append(sentence);
    }

    /** Adds a section unless it would be empty. */
    public FailureText section(String title, List<String> lines) {
        if (!lines.isEmpty()) {
            out.append("\n\n  ").append(title);
            for (String line : lines) {
                out.append("\n    ").append(line);
            }
        }
        return this;
    }

    /** The same text, to be added to separately. */
    public FailureText copy() {
        return new FailureText(out.toString());
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
