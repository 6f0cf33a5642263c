package dev.zelotype.report.story;

import dev.zelotype.conversation.Role;
import dev.zelotype.report.story.Item.Loop;
import dev.zelotype.report.story.Item.Message;
import dev.zelotype.tools.Sentences;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.sourceforge.plantuml.FileFormat;
import net.sourceforge.plantuml.FileFormatOption;
import net.sourceforge.plantuml.SourceStringReader;

/**
 * For Zelotype's own tools: a story as a sequence diagram with lifelines and messages, drawn to a file.
 *
 * <pre>{@code
 * try (OutputStream file = Files.newOutputStream(Path.of("night.svg"))) {
 *     Picture.draw(Story.of(scene).folded(), Picture.Format.SVG, file);
 * }
 * }</pre>
 */
public final class Picture {

    private static final Pattern DATA_OR_END = Pattern.compile("(<!\\[CDATA\\[.*?]]>)|]]>", Pattern.DOTALL);
    private static final int LONGEST = 60;
    private static final int LONGEST_TITLE = 110;

    static {
        // No text of a journal may read files or access the network; no screen is needed.
        System.setProperty("PLANTUML_SECURITY_PROFILE", "SANDBOX");
        System.setProperty("java.awt.headless", "true");
    }

    private final StringBuilder out = new StringBuilder();

    private Picture() {}

    /** The format of a picture. */
    public enum Format {
        /** Lines and text, sharp at any size. */
        SVG(FileFormat.SVG),
        /** Pixels. */
        PNG(FileFormat.PNG);

        private final FileFormat format;

        Format(FileFormat format) {
            this.format = format;
        }
    }

    /**
     * Draws a story.
     *
     * @param story the story
     * @param format the format
     * @param to where to write it; not closed
     */
    public static void draw(Story story, Format format, OutputStream to) {
        try {
            ByteArrayOutputStream drawn = new ByteArrayOutputStream();
            new SourceStringReader(new Picture().source(story))
                    .outputImage(drawn, 0, new FileFormatOption(format.format));
            to.write(format == Format.SVG ? wellFormed(drawn) : drawn.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The library does not escape the end of a character data section in texts, which XML forbids. */
    private static byte[] wellFormed(ByteArrayOutputStream drawn) {
        return DATA_OR_END
                .matcher(drawn.toString(StandardCharsets.UTF_8))
                .replaceAll(found -> Matcher.quoteReplacement(found.group(1) == null ? "]]&gt;" : found.group(1)))
                .getBytes(StandardCharsets.UTF_8);
    }

    private String source(Story story) {
        line("@startuml");
        line("skinparam shadowing false");
        line("skinparam defaultFontName sans-serif");
        line("skinparam sequenceMessageAlign left");
        line("skinparam participantBackgroundColor #eef3f7");
        line("skinparam participantBorderColor #4a6274");
        line("skinparam sequenceLifeLineBorderColor #8a9aa8");
        line("skinparam sequenceBoxBorderColor #8a9aa8");
        line("hide footbox");
        line("title " + escaped(story.title(), LONGEST_TITLE));
        for (int i = 0; i < story.lifelines().size(); i++) {
            Lifeline lifeline = story.lifelines().get(i);
            String type = lifeline.type().isEmpty() ? "" : "\\n<size:11>" + escaped(lifeline.type());
            line("participant \"" + escaped(lifeline.name()) + "\\n<size:11>«" + lifeline.role() + "»" + type
                    + "\" as p" + i);
        }
        for (Item item : story.items()) {
            if (item instanceof Loop loop) {
                line("loop " + loop.times() + " times");
                loop.messages().forEach(this::message);
                line("end");
            } else {
                message((Message) item);
            }
        }
        line("skinparam legendBackgroundColor #ffffff");
        line("skinparam legendBorderColor #8a9aa8");
        line("legend bottom left");
        line("solid arrow, ✔ expected | open arrow, · allowed | crossed, ✘ unexpected | dashed and crossed, ? missing");
        line("endlegend");
        line("@enduml");
        return out.toString();
    }

    private void message(Message message) {
        String arrow = switch (message.role()) {
            case EXPECTED -> "-[#1a7f37,bold]>";
            case ALLOWED -> "-[#3d5a73]>>";
            case UNEXPECTED -> "-[#c62828,bold]>x";
            case MISSING -> "-[#8a5a00,dashed]>x";
        };
        String number = message.number() == 0 ? "" : message.number() + " ";
        String word = message.role() == Role.UNEXPECTED || message.role() == Role.MISSING
                ? "\\n<size:11>" + message.role().word()
                : "";
        line("p" + message.from() + " " + arrow + " p" + message.to() + " : " + Story.sign(message.role()) + " "
                + number + escaped(message.text()) + word);
        if (!message.answerText().isEmpty() && message.role() != Role.UNEXPECTED) {
            line("p" + message.to() + " -[#6b7b88,dashed]> p" + message.from() + " : " + escaped(message.answerText()));
        }
    }

    /** Letters and digits are kept; everything that could be a command is escaped. */
    private static String escaped(String text) {
        return escaped(text, LONGEST);
    }

    private static String escaped(String text, int longest) {
        String cut = text.length() <= longest ? text : Sentences.start(text, longest - 3) + "...";
        return CharacterCodes.escape(cut, " .,():", "&#");
    }

    private void line(String text) {
        out.append(text).append('\n');
    }
}
