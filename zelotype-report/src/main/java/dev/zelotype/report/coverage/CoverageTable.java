package dev.zelotype.report.coverage;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.report.coverage.Coverage.Row;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;

/**
 * For Zelotype's own tools: coverage for other programs.
 *
 * <pre>{@code
 * Files.writeString(Path.of("coverage.csv"), CoverageTable.csv(coverage.rows(Coverage.Order.NAME)));
 * }</pre>
 */
public final class CoverageTable {

    private CoverageTable() {}

    /**
     * Returns comma-separated values with a header line.
     *
     * @param rows the methods
     * @return lines
     */
    public static String csv(List<Row> rows) {
        StringBuilder out =
                new StringBuilder("type,method,supposed,expected,verified,called,answers,backed,broken,failed\n");
        for (Row row : rows) {
            out.append(cell(row.type())).append(',').append(cell(row.method())).append(',');
            out.append(row.supposed()).append(',').append(row.expected()).append(',');
            out.append(row.verified())
                    .append(',')
                    .append(row.called())
                    .append(',')
                    .append(row.answers())
                    .append(',');
            out.append(row.backed())
                    .append(',')
                    .append(row.broken())
                    .append(',')
                    .append(row.failed())
                    .append('\n');
        }
        return out.toString();
    }

    /** A text cell according to RFC 4180; a cell that a spreadsheet would treat as a formula is escaped. */
    private static String cell(String text) {
        String safe = !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
        return '"' + safe.replace("\"", "\"\"") + '"';
    }

    /**
     * Returns a JSON object with the percentage and one object per method.
     *
     * @param rows the methods
     * @return the text
     */
    public static String json(List<Row> rows) {
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text).useDefaultPrettyPrinter()) {
            out.writeStartObject();
            out.writeNumberField("percent", Math.round(Coverage.percent(rows) * 10) / 10.0);
            out.writeArrayFieldStart("methods");
            for (Row row : rows) {
                write(out, row);
            }
            out.writeEndArray();
            out.writeEndObject();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.append('\n').toString();
    }

    /**
     * One method as a JSON object on one line.
     *
     * @param row the method
     * @return the text
     */
    public static String json(Row row) {
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text)) {
            write(out, row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void write(JsonGenerator out, Row row) throws IOException {
        out.writeStartObject();
        out.writeStringField("type", row.type());
        out.writeStringField("method", row.method());
        if (row.isOfPlatform()) {
            out.writeBooleanField("platform", true);
        }
        out.writeNumberField("supposed", row.supposed());
        out.writeNumberField("expected", row.expected());
        out.writeNumberField("verified", row.verified());
        out.writeNumberField("called", row.called());
        out.writeNumberField("answers", row.answers());
        out.writeNumberField("backed", row.backed());
        out.writeNumberField("broken", row.broken());
        out.writeNumberField("failed", row.failed());
        out.writeEndObject();
    }
}
