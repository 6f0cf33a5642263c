package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The figures of this report and of earlier ones in the same folder, one line each, so that a page can show their
 * trend.
 */
final class History {

    /** In the folder of the site. */
    static final String FILE = "data/history.jsonl";

    private static final int KEPT = 100;
    private static final JsonFactory JSON = new JsonFactory();

    private final List<Map<String, Number>> reports = new ArrayList<>();

    /** Reads the figures of earlier reports; damaged lines are skipped. */
    History(String earlier) {
        earlier.lines().forEach(line -> {
            Map<String, Number> figures = figures(line);
            if (!figures.isEmpty()) {
                reports.add(figures);
            }
        });
    }

    /** Adds the figures of this report. */
    void add(Map<String, Number> figures) {
        reports.add(figures);
        while (reports.size() > KEPT) {
            reports.remove(0);
        }
    }

    List<Map<String, Number>> reports() {
        return reports;
    }

    private static Map<String, Number> figures(String line) {
        Map<String, Number> figures = new LinkedHashMap<>();
        try (JsonParser parser = JSON.createParser(line)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                return Map.of();
            }
            while (parser.nextToken() == JsonToken.FIELD_NAME) {
                String name = parser.currentName();
                if (!parser.nextToken().isNumeric()) {
                    return Map.of();
                }
                figures.put(name, parser.getNumberValue());
            }
            return figures;
        } catch (IOException e) {
            // Whatever damaged it: a report must not fail because of an older one.
            return Map.of();
        }
    }

    static void write(JsonGenerator out, Map<String, Number> figures) throws IOException {
        out.writeStartObject();
        for (Map.Entry<String, Number> figure : figures.entrySet()) {
            out.writeFieldName(figure.getKey());
            out.writeNumber(figure.getValue().toString());
        }
        out.writeEndObject();
    }
}
