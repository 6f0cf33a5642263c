package dev.zelotype.challenge.patch;

import java.util.ArrayList;
import java.util.List;

/**
 * The difference between a file before and after text was inserted, as a unified diff for {@code git apply} and {@code
 * patch}.
 */
final class UnifiedDiff {

    private static final int CONTEXT = 3;
    private static final String NO_NEWLINE = "\\ No newline at end of file";

    /** A line that is kept, removed or added; its text includes its line break, if it has one. */
    private record Line(char sign, String text) {}

    private UnifiedDiff() {}

    /** Empty if nothing differs. */
    static String of(String path, String before, String after) {
        List<Line> lines = compared(lines(before), lines(after));
        StringBuilder out = new StringBuilder();
        int old = 1;
        int now = 1;
        int i = 0;
        while (i < lines.size()) {
            if (lines.get(i).sign() == ' ') {
                old++;
                now++;
                i++;
                continue;
            }
            int from = Math.max(0, i - CONTEXT);
            int end = end(lines, i);
            int lead = i - from;
            hunk(out, lines.subList(from, end), old - lead, now - lead);
            for (Line each : lines.subList(i, end)) {
                old += each.sign() == '+' ? 0 : 1;
                now += each.sign() == '-' ? 0 : 1;
            }
            i = end;
        }
        return out.length() == 0 ? "" : "--- a/" + path + "\n+++ b/" + path + "\n" + out;
    }

    /**
     * The end of a hunk: after the context that follows its last change. Changes that are close together share a hunk.
     */
    private static int end(List<Line> lines, int first) {
        int last = first;
        for (int i = first; i < lines.size() && i <= last + 2 * CONTEXT; i++) {
            last = lines.get(i).sign() == ' ' ? last : i;
        }
        return Math.min(lines.size(), last + 1 + CONTEXT);
    }

    private static void hunk(StringBuilder out, List<Line> lines, int old, int now) {
        long added = lines.stream().filter(each -> each.sign() == '+').count();
        long removed = lines.stream().filter(each -> each.sign() == '-').count();
        long kept = lines.size() - added - removed;
        out.append("@@ -" + old + "," + (kept + removed) + " +" + now + "," + (kept + added) + " @@\n");
        for (Line each : lines) {
            out.append(each.sign()).append(each.text());
            if (!each.text().endsWith("\n")) {
                out.append('\n').append(NO_NEWLINE).append('\n');
            }
        }
    }

    private static List<String> lines(String text) {
        List<String> lines = new ArrayList<>();
        for (int from = 0; from < text.length(); ) {
            int end = text.indexOf('\n', from);
            int next = end < 0 ? text.length() : end + 1;
            lines.add(text.substring(from, next));
            from = next;
        }
        return lines;
    }

    /** Text was only inserted, so each old line appears again in order, or has been split. */
    private static List<Line> compared(List<String> before, List<String> after) {
        List<Line> lines = new ArrayList<>();
        int next = 0;
        for (String old : before) {
            int found = next;
            while (found < after.size() && !after.get(found).equals(old)) {
                found++;
            }
            if (found == after.size()) {
                lines.add(new Line('-', old));
                continue;
            }
            after.subList(next, found).forEach(each -> lines.add(new Line('+', each)));
            lines.add(new Line(' ', old));
            next = found + 1;
        }
        after.subList(next, after.size()).forEach(each -> lines.add(new Line('+', each)));
        return lines;
    }
}
