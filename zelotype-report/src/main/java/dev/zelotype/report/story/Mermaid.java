package dev.zelotype.report.story;

import dev.zelotype.conversation.Role;
import dev.zelotype.report.story.Item.Loop;
import dev.zelotype.report.story.Item.Message;

/**
 * For Zelotype's own tools: a story as Mermaid text, which many Markdown viewers render as a sequence diagram.
 *
 * <pre>{@code
 * String text = Mermaid.of(Story.of(scene).folded());
 * }</pre>
 */
public final class Mermaid {

    private final StringBuilder out = new StringBuilder("sequenceDiagram\n");

    private Mermaid() {}

    /**
     * Writes a story.
     *
     * @param story the story
     * @return lines without the code fence
     */
    public static String of(Story story) {
        return new Mermaid().write(story);
    }

    private String write(Story story) {
        for (int i = 0; i < story.lifelines().size(); i++) {
            Lifeline lifeline = story.lifelines().get(i);
            line("    participant p" + i + " as " + escaped(lifeline.name() + " (" + lifeline.role() + ")"));
        }
        for (Item item : story.items()) {
            if (item instanceof Loop loop) {
                line("    loop " + loop.times() + " times");
                loop.messages().forEach(message -> message("        ", message));
                line("    end");
            } else {
                message("    ", (Message) item);
            }
        }
        return out.toString();
    }

    private void message(String indent, Message message) {
        String arrow = switch (message.role()) {
            case EXPECTED -> "->>";
            case ALLOWED -> "-)";
            case UNEXPECTED -> "-x";
            case MISSING -> "--x";
        };
        String number = message.number() == 0 ? "" : message.number() + " ";
        line(indent + "p" + message.from() + arrow + "p" + message.to() + ": "
                + escaped(Story.sign(message.role()) + " " + number + message.text() + label(message.role())));
        if (!message.answerText().isEmpty()) {
            line(indent + "p" + message.to() + "-->>p" + message.from() + ": " + escaped(message.answerText()));
        }
    }

    private static String label(Role mark) {
        return mark == Role.UNEXPECTED || mark == Role.MISSING ? " [" + mark.word() + "]" : "";
    }

    /** Everything that could end the line or have a meaning is escaped. */
    private static String escaped(String text) {
        return CharacterCodes.escape(text, " .,()[]=_-+*/'!?✔✘·:", "#");
    }

    private void line(String text) {
        out.append(text).append('\n');
    }
}
