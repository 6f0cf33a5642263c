package dev.zelotype.cli;

import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.report.story.Story;
import dev.zelotype.tools.Sentences;
import dev.zelotype.tools.TestNames;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.List;

/**
 * Prints conversations in the width of the terminal.
 */
final class ConversationPrinter implements JournalSink {

    private static final int LEAST_CALL = 18;
    private static final int BESIDE_CALL = 65;
    private static final int LEAST_ANSWER = 20;
    /** The width that remains for an answer in a narrow terminal. */
    private static final int LEAST_ROOM = 12;

    /** The blanks, the arrow and the margin of a row. */
    private static final int SIGNS = 12;

    private static final int NARROW_CALLER = 18;
    private static final int NARROW_RECEIVER = 14;

    private final Terminal terminal;
    private String group = "";
    private boolean defaulted;

    ConversationPrinter(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public void add(JournalScene scene) {
        if (!scene.group().equals(group)) {
            group = scene.group();
            line(terminal.styled("bold,underline", group));
        }
        addWithoutGroup(scene);
    }

    /** As {@link #add(JournalScene)}, if it is clear which test the scene belongs to. */
    void addWithoutGroup(JournalScene scene) {
        boolean passed = scene.outcome() == JournalScene.Outcome.PASSED;
        line("");
        line(terminal.styled(
                        passed ? "bold,fg(34)" : "bold,fg(160)",
                        passed ? terminal.sign("✔", "ok") : terminal.sign("✘", "FAILED"))
                + " " + terminal.styled("bold", TestNames.readable(scene.title())));
        doubles(scene.conversation().doubles()).forEach(line -> line("  " + terminal.styled("faint", line)));
        rows(scene.conversation().calls()).forEach(row -> line("  " + row));
        if (!scene.failure().isEmpty()) {
            line("  " + terminal.styled("fg(160)", scene.failure()));
        }
        for (String note : scene.conversation().notes()) {
            Sentences.wrapped("not needed: " + note, terminal.width())
                    .forEach(line -> line(terminal.styled("faint", line)));
        }
    }

    /** Prints a claim that was checked against a real object. */
    @Override
    public void add(JournalClaim claim) {
        String real = TypeNames.simple(claim.real());
        line("");
        if (claim.isKept()) {
            line(terminal.styled("bold,fg(34)", terminal.sign("✔", "ok")) + " " + real + " keeps the claim "
                    + claim.text());
        } else {
            line(terminal.styled("bold,fg(160)", terminal.sign("✘", "BROKEN")) + " " + real + " breaks the claim "
                    + claim.text());
            String place = "claimed at " + claim.place();
            boolean fits = claim.failure().length() + place.length() + 4 <= terminal.width();
            line("  " + terminal.styled("fg(160)", claim.failure()) + (fits ? "  " : System.lineSeparator() + "  ")
                    + terminal.styled("faint", place));
        }
    }

    void printTotal(long passed, long failed) {
        line("");
        if (defaulted) {
            line(terminal.styled(
                    "faint", terminal.sign("⇠", "~") + " an empty value, because no supposition covers the call"));
        }
        line(passed + " passed, " + failed + " failed");
    }

    /** As many per line as fit. */
    private List<String> doubles(List<NamedDouble> doubles) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder("with");
        for (NamedDouble each : doubles) {
            String text = each.name() + " (" + Story.role(each) + ")";
            if (line.length() + text.length() + 4 > terminal.width()) {
                lines.add(line + ",");
                line.setLength(0);
                line.append("    ");
            } else if (line.length() > 4) {
                line.append(',');
            }
            line.append(' ').append(text);
        }
        lines.add(line.toString());
        return lines;
    }

    private List<String> rows(List<RecordedCall> calls) {
        int from = 0;
        int narrowFrom = 0;
        int to = 0;
        int call = 0;
        int longest = 0;
        int place = 0;
        for (RecordedCall each : calls) {
            from = Math.max(from, caller(each).length());
            narrowFrom = Math.max(narrowFrom, narrowCaller(each).length());
            to = Math.max(to, each.receiver().length());
            call = Math.max(call, callText(each).length());
            longest = Math.max(longest, answer(each).length());
            place = Math.max(place, each.place().length());
        }
        int digits = String.valueOf(calls.size()).length();
        // Where the place of a call finds no room of its own, the line stands behind the class that calls.
        boolean narrow = digits + from + to + call + SIGNS + LEAST_ROOM + place > terminal.width();
        if (narrow) {
            from = narrowFrom;
            to = Math.min(to, NARROW_RECEIVER);
        }
        List<String> rows = new ArrayList<>();
        for (RecordedCall each : calls) {
            String head = pad(String.valueOf(each.number()), -digits) + "  "
                    + pad(narrow ? narrowCaller(each) : caller(each), from) + " " + terminal.sign("→", "->") + " ";
            String middle = pad(cut(each.receiver(), to), to) + "  " + pad(callText(each), call) + "  ";
            String end = narrow ? "" : " " + each.place();
            int room = terminal.width() - 2 - head.length() - middle.length() - end.length();
            // Beside the calls rather than at the far end of a wide terminal.
            room = Math.min(room, Math.max(longest, LEAST_ANSWER));
            String answer = cut(answer(each), Math.max(LEAST_ROOM, room));
            rows.add((terminal.styled("faint", head)
                            + middle
                            + terminal.styled(style(each), pad(answer, room))
                            + terminal.styled("faint", end))
                    .stripTrailing());
        }
        return rows;
    }

    private static String narrowCaller(RecordedCall call) {
        String line = call.line() > 0 ? ":" + call.line() : "";
        return cut(caller(call), NARROW_CALLER) + line;
    }

    private static String caller(RecordedCall call) {
        return TypeNames.simple(TypeNames.named(call.caller()));
    }

    private String callText(RecordedCall call) {
        return cut(call.text(), Math.max(LEAST_CALL, terminal.width() - BESIDE_CALL));
    }

    private String answer(RecordedCall call) {
        return switch (call.ending()) {
            case RUNNING, UNEXPECTED, THREW -> call.answerText();
            case DEFAULTED -> {
                defaulted |= !call.answer().isEmpty();
                yield call.answer().isEmpty() ? "" : terminal.sign("⇠ ", "~ ") + call.answer();
            }
            case OWN_CODE ->
                (call.answer().isEmpty() ? "" : terminal.sign("← ", "= ") + call.answer() + " ") + "(own code)";
            case ANSWERED, REAL -> call.answer().isEmpty() ? "" : terminal.sign("← ", "= ") + call.answer();
        };
    }

    private static String style(RecordedCall call) {
        return call.ending() == Ending.UNEXPECTED || call.ending() == Ending.THREW
                ? "fg(160)"
                : call.ending() == Ending.DEFAULTED ? "fg(136)" : "fg(31)";
    }

    private static String cut(String text, int width) {
        return text.length() <= width ? text : Sentences.start(text, Math.max(0, width - 3)) + "...";
    }

    /** Pads with blanks, on the left for a negative width. */
    private static String pad(String text, int width) {
        String blanks = " ".repeat(Math.max(0, Math.abs(width) - text.length()));
        return width < 0 ? blanks + text : text + blanks;
    }

    private void line(String text) {
        terminal.out().println(text);
    }
}
