package dev.zelotype.journal;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.doubles.RecordedCall;
import dev.zelotype.doubles.TestStatement;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For readers and writers of journals: writes the scenes of one JVM into one file of its own, so that forks and machines
 * never share one. Each scene is written whole when it ends: a killed JVM loses only the scenes that were running. Safe
 * for use from any thread.
 *
 * <pre>{@code
 * JournalWriter journal = new JournalWriter(Path.of("target/journal"), Pattern.compile("token-[0-9a-f]+"));
 * journal.write(JournalScene.of(test, scene.conversation()).title(title).build());
 * }</pre>
 */
public final class JournalWriter {

    /** The version of the format that is written. */
    public static final int VERSION = 1;

    /** What stands in the place of what must not be shown. */
    public static final String MASKED = "***";

    private final Path file;
    private final @Nullable Pattern mask;
    private final JsonFactory json = new JsonFactory();
    private final Set<String> typesWritten = new HashSet<>();
    private int scenes;

    /**
     * Prepares a file in a folder, which is made if it is missing.
     *
     * @param folder where the journal goes
     * @param mask what no value, failure, note or title may show: each match is written as {@value #MASKED}; null to
     *     show everything
     * @throws JournalException if the folder cannot be written to
     */
    public JournalWriter(Path folder, @Nullable Pattern mask) {
        this.mask = mask;
        file = folder.resolve("zelotype-" + ProcessHandle.current().pid() + "-"
                + UUID.randomUUID().toString().substring(0, 8) + ".jsonl");
        try {
            Files.createDirectories(folder);
            append("{\"journal\":" + VERSION + "}\n");
        } catch (IOException e) {
            throw new JournalException(
                    "No journal can be written to " + folder.toAbsolutePath() + ": " + e
                            + ". Give a folder that can be written to as zelotype.journal.",
                    e);
        }
    }

    /**
     * The file that is written.
     *
     * @return its path
     */
    public Path file() {
        return file;
    }

    /**
     * Adds a scene.
     *
     * @param scene the scene
     * @throws JournalException if it cannot be written
     */
    public synchronized void write(JournalScene scene) {
        int id = ++scenes;
        StringWriter lines = new StringWriter();
        try {
            for (DoubledType type : scene.conversation().types()) {
                if (typesWritten.add(type.name())) {
                    typeLine(lines, type);
                }
            }
            sceneLine(lines, id, scene);
            for (RecordedCall call : scene.conversation().calls()) {
                callLine(lines, id, call);
            }
            for (TestStatement statement : scene.conversation().statements()) {
                statementLine(lines, id, statement);
            }
            endLine(lines, id, scene);
            append(lines.toString());
        } catch (IOException e) {
            throw new JournalException("The journal " + file + " cannot be written: " + e + ".", e);
        }
    }

    private void append(String text) throws IOException {
        Files.write(file, text.getBytes(StandardCharsets.UTF_8), StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }

    private interface Fields {
        void write(JsonGenerator out) throws IOException;
    }

    private void line(StringWriter lines, Fields fields) throws IOException {
        JsonGenerator out = json.createGenerator(lines);
        out.writeStartObject();
        fields.write(out);
        out.writeEndObject();
        out.flush();
        lines.append('\n');
    }

    private void sceneLine(StringWriter lines, int id, JournalScene scene) throws IOException {
        line(lines, out -> {
            out.writeNumberField("scene", id);
            out.writeStringField("test", scene.test());
            out.writeStringField("title", masked(scene.title()));
            out.writeStringField("group", masked(scene.group()));
            out.writeStringField("subject", scene.conversation().subject());
            out.writeArrayFieldStart("doubles");
            for (NamedDouble info : scene.conversation().doubles()) {
                out.writeStartObject();
                out.writeStringField("name", info.name());
                out.writeStringField("kind", info.kind().word());
                out.writeStringField("type", info.type());
                out.writeEndObject();
            }
            out.writeEndArray();
        });
    }

    private void callLine(StringWriter lines, int id, RecordedCall call) throws IOException {
        line(lines, out -> {
            out.writeNumberField("call", call.number());
            out.writeNumberField("scene", id);
            out.writeStringField("from", call.caller());
            out.writeStringField("to", call.receiver());
            out.writeStringField("method", call.signature());
            strings(out, "arguments", call.arguments());
            out.writeStringField("answer", masked(call.answer()));
            out.writeStringField("outcome", call.ending().word());
            out.writeStringField("role", call.role().word());
            out.writeStringField("thread", call.thread());
            out.writeStringField("file", call.file());
            out.writeNumberField("line", call.line());
            out.writeNumberField("micros", call.micros());
            if (call.tookMicros() >= 0) {
                out.writeNumberField("took", call.tookMicros());
            }
        });
    }

    private void typeLine(StringWriter lines, DoubledType type) throws IOException {
        line(lines, out -> {
            out.writeStringField("type", type.name());
            out.writeArrayFieldStart("methods");
            for (String method : type.methods()) {
                out.writeString(method);
            }
            out.writeEndArray();
        });
    }

    private void statementLine(StringWriter lines, int id, TestStatement statement) throws IOException {
        line(lines, out -> {
            out.writeStringField("statement", statement.verb().word());
            out.writeNumberField("scene", id);
            out.writeStringField("to", statement.receiver());
            out.writeStringField("method", statement.signature());
            out.writeStringField("text", masked(statement.text()));
            out.writeNumberField("min", statement.min());
            if (statement.max() != Integer.MAX_VALUE) {
                out.writeNumberField("max", statement.max());
            }
            out.writeNumberField("found", statement.found());
            out.writeBooleanField("query", statement.query());
            out.writeNumberField("parameters", statement.parameters());
            out.writeNumberField("pinned", statement.pinned());
            out.writeNumberField("order", statement.order());
            out.writeStringField("place", statement.place());
        });
    }

    private String masked(String text) {
        return mask == null ? text : mask.matcher(text).replaceAll(MASKED);
    }

    private void endLine(StringWriter lines, int id, JournalScene scene) throws IOException {
        line(lines, out -> {
            out.writeNumberField("end", id);
            out.writeStringField("outcome", scene.outcome().word());
            out.writeStringField("failure", masked(scene.failure()));
            strings(out, "notes", scene.conversation().notes());
        });
    }

    private void strings(JsonGenerator out, String name, List<String> values) throws IOException {
        out.writeArrayFieldStart(name);
        for (String value : values) {
            out.writeString(masked(value));
        }
        out.writeEndArray();
    }
}
