package dev.zelotype.report.story;

import dev.zelotype.conversation.Role;
import dev.zelotype.report.story.Item.Loop;
import dev.zelotype.report.story.Item.Message;
import dev.zelotype.tools.Sentences;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: a story as lines of text, with lifelines side by side and one line per message.
 *
 * <pre>{@code
 * TextStory.of(Story.of(scene).folded(), 100, TextStory.Signs.DRAWN)
 *         .forEach(line -> System.out.println(line.head() + line.message()));
 * }</pre>
 */
public final class TextStory {

    private static final int WIDEST_LIFELINES = 44;
    private static final int NARROW = 5;
    private static final int LEAST_ROOM = 20;
    private static final Pattern LINE_END = Pattern.compile("\\R");

    private final Story story;
    private final Signs signs;
    private final int width;
    private final boolean inOneRow;
    private final int spacing;
    private final int digits;
    private final String lifelines;
    private final List<Line> lines = new ArrayList<>();

    /**
     * A line of text.
     *
     * @param head number and lifelines, with the arrow
     * @param message the call, its answer and its place; empty for lines with lifelines only
     * @param mark the test's verdict on the message, or null
     */
    public record Line(
            String head, String message, @Nullable Role mark) {}

    /**
     * The appearance of a message's arrow.
     *
     * @param stroke its shaft
     * @param rightHead its head to the right
     * @param leftHead its head to the left
     * @param mark a sign before the message
     */
    public record Arrow(char stroke, char rightHead, char leftHead, char mark) {}

    /**
     * The characters that stories are drawn with.
     *
     * @param lifeline a piece of a lifeline
     * @param asked the arrow of a call that a statement covers
     * @param incidental the arrow of a call that none covers
     * @param unexpected the arrow of a call that was not allowed
     * @param missing the arrow of a call that is missing
     */
    public record Signs(String lifeline, Arrow asked, Arrow incidental, Arrow unexpected, Arrow missing) {

        /** For terminals that can show drawing characters. */
        public static final Signs DRAWN = new Signs(
                "│",
                new Arrow('━', '▶', '◀', '✔'),
                new Arrow('─', '▷', '◁', '·'),
                new Arrow('━', '✘', '✘', '✘'),
                new Arrow('╌', '?', '?', '?'));

        /** For terminals that can only show ASCII. */
        public static final Signs ASCII = new Signs(
                "|",
                new Arrow('=', '>', '<', '+'),
                new Arrow('-', '>', '<', '-'),
                new Arrow('=', 'x', 'x', 'x'),
                new Arrow('.', '?', '?', '?'));

        Arrow of(Role role) {
            return switch (role) {
                case EXPECTED -> asked;
                case ALLOWED -> incidental;
                case UNEXPECTED -> unexpected;
                case MISSING -> missing;
            };
        }
    }

    private TextStory(Story story, int width, Signs signs) {
        this.story = story;
        this.width = width;
        this.signs = signs;
        int longest = NARROW;
        for (Lifeline lifeline : story.lifelines()) {
            longest = Math.max(
                    longest, Math.max(lifeline.name().length(), lifeline.role().length()) + 2);
        }
        this.inOneRow = longest * story.lifelines().size() <= WIDEST_LIFELINES;
        this.spacing = inOneRow ? longest : NARROW;
        this.digits =
                String.valueOf(story.scene().conversation().calls().size()).length();
        this.lifelines = " ".repeat(digits + 1)
                + (signs.lifeline() + " ".repeat(spacing - 1))
                        .repeat(story.lifelines().size());
    }

    /**
     * Writes a story.
     *
     * @param story the story
     * @param width the number of columns
     * @param signs the characters for arrows
     * @return the lines
     */
    public static List<Line> of(Story story, int width, Signs signs) {
        return new TextStory(story, width, signs).write();
    }

    private List<Line> write() {
        if (inOneRow) {
            headsInOneRow();
        } else {
            headsOneByOne();
        }
        for (Item item : story.items()) {
            if (item instanceof Loop loop) {
                int last = loop.messages().get(0).number() + loop.calls() - 1;
                lines.add(new Line(
                        lifelines,
                        loop.times() + " times, calls " + loop.messages().get(0).number() + " to " + last + ":",
                        null));
                loop.messages().forEach(message -> message(message, "  "));
            } else {
                message((Message) item, "");
            }
        }
        legend();
        return lines;
    }

    private void headsInOneRow() {
        StringBuilder names = new StringBuilder(" ".repeat(digits + 1));
        StringBuilder roles = new StringBuilder(" ".repeat(digits + 1));
        for (Lifeline lifeline : story.lifelines()) {
            names.append(pad(lifeline.name(), spacing));
            roles.append(pad(lifeline.role(), spacing));
        }
        lines.add(new Line(names.toString().stripTrailing(), "", null));
        lines.add(new Line(roles.toString().stripTrailing(), "", null));
    }

    private void headsOneByOne() {
        for (int i = 0; i < story.lifelines().size(); i++) {
            Lifeline lifeline = story.lifelines().get(i);
            String earlier = (signs.lifeline() + " ".repeat(spacing - 1)).repeat(i);
            lines.add(new Line(
                    " ".repeat(digits + 1) + earlier + lifeline.name() + " (" + lifeline.role() + ")", "", null));
        }
    }

    /** A legend of the arrows, because not every terminal shows colors. */
    private void legend() {
        StringBuilder legend = new StringBuilder(" ".repeat(digits + 1));
        for (Role mark : Role.values()) {
            boolean occurs = story.items().stream()
                    .anyMatch(item -> item instanceof Message message
                            ? message.role() == mark
                            : ((Loop) item).messages().stream().anyMatch(message -> message.role() == mark));
            if (occurs) {
                Arrow arrow = signs.of(mark);
                legend.append(String.valueOf(arrow.stroke()).repeat(2))
                        .append(arrow.rightHead())
                        .append(' ')
                        .append(arrow.mark())
                        .append(' ')
                        .append(mark.word())
                        .append("   ");
            }
        }
        lines.add(new Line(legend.toString().stripTrailing(), "", null));
    }

    private void message(Message message, String indent) {
        char[] line = lifelines.toCharArray();
        int left = digits + 1 + spacing * Math.min(message.from(), message.to());
        int right = digits + 1 + spacing * Math.max(message.from(), message.to());
        Arrow arrow = signs.of(message.role());
        for (int i = left + 1; i < right; i++) {
            line[i] = arrow.stroke();
        }
        boolean toTheRight = message.to() > message.from();
        if (message.to() == message.from()) {
            line[right + 1] = arrow.stroke();
            line[right + 2] = arrow.leftHead();
        } else if (toTheRight) {
            line[right - 1] = arrow.rightHead();
        } else {
            line[left + 1] = arrow.leftHead();
        }
        String number = message.number() == 0 ? "" : String.valueOf(message.number());
        String head = " ".repeat(digits - number.length()) + number + new String(line).substring(digits);
        String word = message.role() == Role.UNEXPECTED || message.role() == Role.MISSING
                ? message.role().word() + ": "
                : "";
        String answer =
                message.answerText().isEmpty() || message.role() == Role.UNEXPECTED ? "" : " " + message.answerText();
        String thread = message.thread().isEmpty() ? "" : " [" + message.thread() + "]";
        String text = indent + arrow.mark() + " " + word + message.text() + answer + thread;
        int room = width - head.length() - message.place().length() - 2;
        // The call is more important than its place.
        boolean narrow = room < LEAST_ROOM;
        lines.add(new Line(
                head,
                narrow
                        ? cut(text, Math.max(LEAST_ROOM, width - head.length()))
                        : pad(cut(text, room), room) + "  " + message.place(),
                message.role()));
    }

    private static String pad(String text, int width) {
        return text + " ".repeat(Math.max(0, width - text.length()));
    }

    private static String cut(String text, int width) {
        // Even of a text of a million characters, only the shown part is examined.
        String seen = text.length() <= 2 * width ? text : Sentences.start(text, 2 * width);
        String flat = LINE_END.matcher(seen).replaceAll(" ");
        return flat.length() <= width ? flat : Sentences.start(flat, Math.max(0, width - 3)) + "...";
    }
}
