package dev.zelotype.cli;

import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Help;
import picocli.CommandLine.Help.Ansi;
import picocli.CommandLine.Help.Column;
import picocli.CommandLine.Help.Column.Overflow;
import picocli.CommandLine.Help.TextTable;

/**
 * Rows of aligned cells for a terminal; cells wider than their column are cut.
 */
final class Table {

    private static final int GAP = 1;

    private final Terminal terminal;
    private final boolean styled;
    private final Column[] columns;
    private final StringBuilder out = new StringBuilder();

    /** An empty table with columns of these widths. */
    Table(Terminal terminal, boolean styled, int... widths) {
        this.terminal = terminal;
        this.styled = styled;
        this.columns = new Column[widths.length];
        for (int i = 0; i < widths.length; i++) {
            columns[i] = new Column(widths[i] + GAP, 0, Overflow.TRUNCATE);
        }
    }

    /** Adds a row in one of picocli's styles; empty for none. */
    void row(String style, String... cells) {
        List<Ansi.Text> texts = new ArrayList<>();
        for (String cell : cells) {
            // Two signs that picocli takes for the beginning of a style.
            texts.add(Ansi.OFF.new Text(cell.replace("@|", "@ |")));
        }
        TextTable table = TextTable.forColumns(Help.defaultColorScheme(Ansi.OFF), columns);
        table.addRowValues(texts.toArray(new Ansi.Text[0]));
        line(style, table.toString().stripTrailing());
    }

    /** Adds a line that spans all columns. */
    void line(String style, String text) {
        out.append(styled && !style.isEmpty() ? terminal.styled(style, text) : text)
                .append(System.lineSeparator());
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
