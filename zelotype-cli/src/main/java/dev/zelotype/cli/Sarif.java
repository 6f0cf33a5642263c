package dev.zelotype.cli;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.report.site.Sources;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Findings in SARIF 2.1.0, the open standard for code hosts and IDEs.
 */
final class Sarif {

    private Sarif() {}

    /**
     * A finding.
     *
     * @param rule its sort
     * @param title the description that all findings of the rule share
     * @param warning whether it is more than a note
     * @param text the sentence
     * @param file the path of the source file, as far as it is known
     * @param line the line, from 1; less if it is unknown
     * @param weight how certain it is
     * @param statement what to write; empty if nothing
     */
    record Result(
            String rule,
            String title,
            boolean warning,
            String text,
            String file,
            int line,
            String weight,
            String statement,
            List<String> tests) {}

    /**
     * Returns the findings as one run.
     *
     * @param sources the folders of the sources
     */
    static String of(List<Result> results, Sources sources) {
        Map<String, String> rules = new LinkedHashMap<>();
        results.forEach(each -> rules.putIfAbsent(each.rule(), each.title()));
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text).useDefaultPrettyPrinter()) {
            out.writeStartObject();
            out.writeStringField("$schema", "https://json.schemastore.org/sarif-2.1.0.json");
            out.writeStringField("version", "2.1.0");
            out.writeArrayFieldStart("runs");
            out.writeStartObject();
            tool(out, rules);
            out.writeArrayFieldStart("results");
            for (Result each : results) {
                write(out, each, sources);
            }
            out.writeEndArray();
            out.writeEndObject();
            out.writeEndArray();
            out.writeEndObject();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.append('\n').toString();
    }

    private static void tool(JsonGenerator out, Map<String, String> rules) throws IOException {
        out.writeObjectFieldStart("tool");
        out.writeObjectFieldStart("driver");
        out.writeStringField("name", "Zelotype");
        out.writeArrayFieldStart("rules");
        for (Map.Entry<String, String> each : rules.entrySet()) {
            out.writeStartObject();
            out.writeStringField("id", each.getKey());
            message(out, "shortDescription", each.getValue());
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
        out.writeEndObject();
    }

    private static void message(JsonGenerator out, String field, String text) throws IOException {
        out.writeObjectFieldStart(field);
        out.writeStringField("text", text);
        out.writeEndObject();
    }

    private static void write(JsonGenerator out, Result result, Sources sources) throws IOException {
        out.writeStartObject();
        out.writeStringField("ruleId", result.rule());
        out.writeStringField("level", result.warning() ? "warning" : "note");
        String cure = result.statement().isEmpty() ? "" : " Write: " + result.statement();
        message(out, "message", result.text() + cure);
        if (!result.file().isEmpty()) {
            out.writeArrayFieldStart("locations");
            out.writeStartObject();
            out.writeObjectFieldStart("physicalLocation");
            out.writeObjectFieldStart("artifactLocation");
            out.writeStringField("uri", uri(result.file(), sources));
            out.writeEndObject();
            if (result.line() > 0) {
                out.writeObjectFieldStart("region");
                out.writeNumberField("startLine", result.line());
                out.writeEndObject();
            }
            out.writeEndObject();
            out.writeEndObject();
            out.writeEndArray();
        }
        out.writeObjectFieldStart("properties");
        out.writeStringField("weight", result.weight());
        out.writeStringField("statement", result.statement());
        ChallengeJson.strings(out, "tests", result.tests());
        out.writeEndObject();
        out.writeEndObject();
    }

    /** The path of the file relative to the working directory if sources are known, else as it was given. */
    private static String uri(String path, Sources sources) {
        Path found = sources.file(path);
        if (found == null) {
            return path;
        }
        Path here = Path.of("").toAbsolutePath();
        Path absolute = found.toAbsolutePath().normalize();
        return absolute.startsWith(here)
                ? here.relativize(absolute).toString().replace('\\', '/')
                : absolute.toUri().toString();
    }
}
