package dev.zelotype.cli;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.report.site.Sources;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Locale;

/**
 * What a challenge has found in SARIF 2.1.0, the open standard in which code hosts and IDEs take findings.
 */
final class ChallengeSarif {

    private ChallengeSarif() {}

    /**
     * The findings as one run.
     *
     * @param sources where the files are that hold the calls
     */
    static String of(ChallengeResult result, Sources sources) {
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text).useDefaultPrettyPrinter()) {
            out.writeStartObject();
            out.writeStringField("$schema", "https://json.schemastore.org/sarif-2.1.0.json");
            out.writeStringField("version", "2.1.0");
            out.writeArrayFieldStart("runs");
            out.writeStartObject();
            tool(out);
            out.writeArrayFieldStart("results");
            for (Finding finding : result.findings()) {
                write(out, finding, sources);
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

    private static void tool(JsonGenerator out) throws IOException {
        out.writeObjectFieldStart("tool");
        out.writeObjectFieldStart("driver");
        out.writeStringField("name", "Zelotype");
        out.writeArrayFieldStart("rules");
        for (ChangeKind kind : ChangeKind.values()) {
            out.writeStartObject();
            out.writeStringField("id", rule(kind));
            message(out, "shortDescription", "A change of this kind (" + kind.word() + ") that no test noticed");
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
        out.writeEndObject();
    }

    private static String rule(ChangeKind kind) {
        return "challenge-" + kind.word();
    }

    private static void message(JsonGenerator out, String field, String text) throws IOException {
        out.writeObjectFieldStart(field);
        out.writeStringField("text", text);
        out.writeEndObject();
    }

    private static void write(JsonGenerator out, Finding finding, Sources sources) throws IOException {
        out.writeStartObject();
        out.writeStringField("ruleId", rule(finding.kind()));
        out.writeStringField(
                "level",
                switch (finding.weight()) {
                    case GAP -> "warning";
                    case UNCLEAR, QUESTION, MINOR, NOTE -> "note";
                });
        String cure = finding.statement().isEmpty() ? "" : " Write: " + finding.statement();
        message(out, "message", finding.sentence() + cure);
        out.writeArrayFieldStart("locations");
        out.writeStartObject();
        out.writeObjectFieldStart("physicalLocation");
        out.writeObjectFieldStart("artifactLocation");
        out.writeStringField("uri", uri(finding.site(), sources));
        out.writeEndObject();
        if (finding.site().line() > 0) {
            out.writeObjectFieldStart("region");
            out.writeNumberField("startLine", finding.site().line());
            out.writeEndObject();
        }
        out.writeEndObject();
        out.writeEndObject();
        out.writeEndArray();
        out.writeObjectFieldStart("properties");
        out.writeStringField("weight", finding.weight().name().toLowerCase(Locale.ROOT));
        out.writeStringField("statement", finding.statement());
        out.writeArrayFieldStart("tests");
        for (String test : finding.tests()) {
            out.writeString(test);
        }
        out.writeEndArray();
        out.writeEndObject();
        out.writeEndObject();
    }

    /** The file below the folder in which the command runs, if sources are known; else as its package says. */
    private static String uri(CallPlace site, Sources sources) {
        String type = site.caller();
        int dot = type.lastIndexOf('.');
        String path = dot < 0 ? site.file() : type.substring(0, dot + 1).replace('.', '/') + site.file();
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
