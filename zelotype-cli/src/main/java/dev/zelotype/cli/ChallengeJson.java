package dev.zelotype.cli;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.ChallengedTest;
import dev.zelotype.challenge.finding.Finding;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Locale;

/**
 * The result of a challenge for other programs.
 */
final class ChallengeJson {

    private ChallengeJson() {}

    static String of(ChallengeResult result) {
        StringWriter text = new StringWriter();
        try (JsonGenerator out = new JsonFactory().createGenerator(text).useDefaultPrettyPrinter()) {
            out.writeStartObject();
            if (result.isEmpty()) {
                out.writeNullField("percent");
            } else {
                out.writeNumberField("percent", Math.round(result.percent() * 10) / 10.0);
            }
            out.writeNumberField("noticed", result.noticed());
            out.writeNumberField("gaps", result.gaps());
            out.writeNumberField("runs", result.runs());
            out.writeBooleanField("complete", result.isComplete());
            out.writeArrayFieldStart("findings");
            for (Finding finding : result.findings()) {
                write(out, finding);
            }
            out.writeEndArray();
            out.writeArrayFieldStart("tests");
            for (ChallengedTest test : result.tests()) {
                out.writeStartObject();
                out.writeStringField("name", test.name());
                out.writeNumberField("noticed", test.noticed());
                out.writeNumberField("unnoticed", test.unnoticed());
                out.writeNumberField("unclear", test.unclear());
                out.writeEndObject();
            }
            out.writeEndArray();
            strings(out, "leftOut", result.leftOut());
            out.writeEndObject();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.append('\n').toString();
    }

    private static void write(JsonGenerator out, Finding finding) throws IOException {
        out.writeStartObject();
        out.writeStringField("weight", finding.weight().name().toLowerCase(Locale.ROOT));
        out.writeStringField("change", finding.kind().word());
        out.writeStringField("call", finding.site().text());
        out.writeStringField("place", finding.site().place());
        out.writeStringField("sentence", finding.sentence());
        out.writeStringField("statement", finding.statement());
        strings(out, "tests", finding.tests());
        out.writeEndObject();
    }

    static void strings(JsonGenerator out, String name, Iterable<String> texts) throws IOException {
        out.writeArrayFieldStart(name);
        for (String text : texts) {
            out.writeString(text);
        }
        out.writeEndArray();
    }
}
