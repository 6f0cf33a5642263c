package dev.zelotype.engine.explain;

import java.util.ArrayList;
import java.util.List;

/**
 * Rows of cells as lines with aligned cells.
 */
public final class Columns {

    static final String GAP = "    ";

    private static final int WIDEST = 60;

    private Columns() {}

    public static List<String> align(List<String[]> rows) {
        int columns = 0;
        for (String[] row : rows) {
            columns = Math.max(columns, row.length);
        }
        int[] widths = new int[columns];
        for (String[] row : rows) {
            for (int i = 0; i < row.length; i++) {
                widths[i] = Math.max(widths[i], Math.min(WIDEST, row[i].length()));
            }
        }
        List<String> lines = new ArrayList<>();
        for (String[] row : rows) {
            StringBuilder line = new StringBuilder();
            for (int i = 0; i < row.length; i++) {
                line.append(row[i]);
                if (i < row.length - 1 && widths[i] > 0) {
                    line.append(" ".repeat(Math.max(0, widths[i] - row[i].length())))
                            .append(i == 0 ? "  " : GAP);
                }
            }
            lines.add(line.toString().stripTrailing());
        }
        return lines;
    }

    /** Two texts with a gap, or only the first if the second is empty. */
    public static String gap(String left, String right) {
        return right.isEmpty() ? left : left + GAP + right;
    }
}
