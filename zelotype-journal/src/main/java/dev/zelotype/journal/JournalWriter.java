package dev.zelotype.journal;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Locale;
import java.util.UUID;

/**
 * Writes the scenes of one JVM into one file of its own, so that forks and machines never share one. Each scene is
 * written whole when it ends: a killed JVM loses only the scenes that were running. Safe for use from any thread.
 */
public final class JournalWriter {

    /** The version of the format that is written. */
    public static final int VERSION = 1;

    private final Path file;
    private final JsonFactory json = new JsonFactory();
    private int scenes;

    /**
     * Prepares a file in a folder, which is made if it is missing.
     *
     * @param folder where the journal goes
     * @throws JournalException if the folder cannot be written to
     */
    public JournalWriter(Path folder) {
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
            sceneLine(lines, id, scene);
            for (CallInfo call : scene.conversation().calls()) {
                callLine(lines, id, call);
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
            out.writeStringField("title", scene.title());
            out.writeStringField("group", scene.group());
            out.writeArrayFieldStart("doubles");
            for (DoubleInfo info : scene.conversation().doubles()) {
                out.writeStartObject();
                out.writeStringField("name", info.name());
                out.writeStringField("kind", info.kind().word());
                out.writeStringField("type", info.type());
                out.writeEndObject();
            }
            out.writeEndArray();
        });
    }

    private void callLine(StringWriter lines, int id, CallInfo call) throws IOException {
        line(lines, out -> {
            out.writeNumberField("call", call.number());
            out.writeNumberField("scene", id);
            out.writeStringField("from", call.caller());
            out.writeStringField("to", call.receiver());
            out.writeStringField("method", call.method());
            strings(out, "arguments", call.arguments());
            out.writeStringField("answer", call.answer());
            out.writeStringField("outcome", call.outcome().name().toLowerCase(Locale.ROOT));
            out.writeStringField("thread", call.thread());
            out.writeStringField("file", call.file());
            out.writeNumberField("line", call.line());
        });
    }

    private void endLine(StringWriter lines, int id, JournalScene scene) throws IOException {
        line(lines, out -> {
            out.writeNumberField("end", id);
            out.writeStringField("outcome", scene.outcome().name().toLowerCase(Locale.ROOT));
            out.writeStringField("failure", scene.failure());
            strings(out, "notes", scene.conversation().notes());
        });
    }

    private static void strings(JsonGenerator out, String name, List<String> values) throws IOException {
        out.writeArrayFieldStart(name);
        for (String value : values) {
            out.writeString(value);
        }
        out.writeEndArray();
    }
}
