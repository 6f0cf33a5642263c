package dev.zelotype.journal;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonFactoryBuilder;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.basics.Mask;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.ValueSource;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.NamedDouble;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For readers and writers of journals: writes the scenes of one JVM to its own file, so that forks and machines never
 * share one. Each scene is written as a whole when it ends: if the JVM is killed, only the running scenes are lost.
 * Safe for use from any thread.
 *
 * <pre>{@code
 * JournalWriter journal = new JournalWriter(Path.of("target/journal"), Pattern.compile("token-[0-9a-f]+"));
 * journal.write(JournalScene.of(test, scene.conversation()).title(title).build());
 * }</pre>
 *
 * @since 0.2
 */
public final class JournalWriter {

    /** The version of the written format. */
    public static final int VERSION = 1;

    /** Replaces text that must not be shown. */
    public static final String MASKED = Mask.MASKED;

    private final Path file;
    private final String run;
    private final @Nullable Pattern mask;
    private final JsonFactory json =
            new JsonFactoryBuilder().rootValueSeparator("\n").build();
    private final Set<String> typesWritten = new HashSet<>();
    private int scenes;
    private int missing;
    private String whyMissing = "";

    /**
     * Prepares a file in a folder; the folder is created with the first scene if it is missing.
     *
     * @param folder the folder of the journal
     * @param mask what must not appear in any value, failure, note or title: each match is written as {@value #MASKED};
     *     null to show everything
     */
    public JournalWriter(Path folder, @Nullable Pattern mask) {
        this.mask = mask;
        run = ProcessHandle.current().pid() + "-" + UUID.randomUUID().toString().substring(0, 8);
        file = folder.resolve("zelotype-" + run + ".jsonl");
    }

    /**
     * Returns the written file.
     *
     * @return its path
     */
    public Path file() {
        return file;
    }

    /**
     * Adds a scene, completely or not at all. Earlier failures to write are reported as soon as writing succeeds.
     *
     * @param scene the scene
     * @throws JournalException if it cannot be written; the file is unchanged then
     */
    public synchronized void write(JournalScene scene) {
        int id = ++scenes;
        boolean fresh = !Files.exists(file);
        Set<String> types = fresh ? new HashSet<>() : new HashSet<>(typesWritten);
        add(fresh, lines -> {
            for (DoubledType type : scene.conversation().types()) {
                if (types.add(type.name())) {
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
        });
        typesWritten.clear();
        typesWritten.addAll(types);
    }

    /**
     * Adds the result of a claim.
     *
     * @param claim the claim
     * @throws JournalException if it cannot be written; the file is unchanged then
     */
    public synchronized void write(JournalClaim claim) {
        add(
                !Files.exists(file),
                lines -> line(lines, out -> {
                    out.writeStringField("claim", claim.isKept() ? "kept" : "broken");
                    out.writeStringField("of", masked(claim.type()));
                    out.writeStringField("method", masked(claim.signature()));
                    out.writeStringField("text", masked(claim.text()));
                    out.writeStringField("covers", masked(claim.call()));
                    out.writeStringField("place", masked(claim.place()));
                    out.writeStringField("real", masked(claim.real()));
                    out.writeStringField("failure", masked(claim.failure()));
                }));
    }

    /**
     * Adds the result of a challenge.
     *
     * @param challenge the findings
     * @throws JournalException if it cannot be written; the file is unchanged then
     */
    public synchronized void write(JournalChallenge challenge) {
        add(!Files.exists(file), lines -> {
            line(lines, out -> {
                out.writeNumberField("challenge", challenge.runs());
                out.writeBooleanField("complete", challenge.complete());
            });
            for (JournalChallenge.Tested test : challenge.tests()) {
                line(lines, out -> {
                    out.writeStringField("challenged", masked(test.name()));
                    out.writeNumberField("noticed", test.noticed());
                    out.writeNumberField("unnoticed", test.unnoticed());
                    out.writeNumberField("unclear", test.unclear());
                });
            }
            for (JournalChallenge.Place place : challenge.places()) {
                line(lines, out -> {
                    out.writeStringField("disturbed", place.found());
                    out.writeStringField("change", place.change());
                    out.writeStringField("to", masked(place.receiver()));
                    out.writeStringField("of", masked(place.type()));
                    out.writeStringField("method", masked(place.signature()));
                    out.writeStringField("place", masked(place.place()));
                    out.writeStringField("text", masked(place.sentence()));
                    out.writeStringField("write", masked(place.statement()));
                    strings(out, "tests", place.tests());
                });
            }
        });
    }

    private interface Lines {
        void write(JsonGenerator lines) throws IOException;
    }

    private void add(boolean fresh, Lines content) {
        StringWriter text = new StringWriter();
        try {
            // One for all lines of a scene, because each has large buffers.
            try (JsonGenerator lines = json.createGenerator(text)) {
                if (fresh) {
                    Files.createDirectories(file.toAbsolutePath().getParent());
                    line(lines, out -> {
                        out.writeNumberField("journal", VERSION);
                        out.writeStringField("run", run);
                    });
                }
                if (missing > 0) {
                    int lost = missing;
                    line(lines, out -> {
                        out.writeNumberField("missing", lost);
                        out.writeStringField("why", masked(whyMissing));
                    });
                }
                content.write(lines);
            }
            append(text.append('\n').toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            missing++;
            whyMissing = reason(e);
            throw new JournalException(
                    "The journal " + file.toAbsolutePath() + " cannot be written: " + whyMissing
                            + ". Give a folder that can be written to as zelotype.journal.",
                    e);
        }
        missing = 0;
    }

    private void append(byte[] lines) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            long before = channel.size();
            try {
                channel.position(before);
                ByteBuffer rest = ByteBuffer.wrap(lines);
                while (rest.hasRemaining()) {
                    channel.write(rest);
                }
            } catch (IOException e) {
                channel.truncate(before);
                throw e;
            }
        }
    }

    /** Why a file cannot be read or written, in plain words. */
    static String reason(Exception e) {
        Throwable cause = e.getCause() instanceof IOException inner ? inner : e;
        if (cause instanceof NoSuchFileException) {
            return "there is no " + cause.getMessage();
        } else if (cause instanceof AccessDeniedException) {
            return "access to " + cause.getMessage() + " is denied";
        } else if (cause instanceof FileAlreadyExistsException) {
            return cause.getMessage() + " is a file";
        } else if (cause instanceof FileSystemException system && system.getReason() != null) {
            return system.getReason();
        }
        return cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
    }

    private interface Fields {
        void write(JsonGenerator out) throws IOException;
    }

    private static void line(JsonGenerator lines, Fields fields) throws IOException {
        lines.writeStartObject();
        fields.write(lines);
        lines.writeEndObject();
    }

    private void sceneLine(JsonGenerator lines, int id, JournalScene scene) throws IOException {
        line(lines, out -> {
            out.writeNumberField("scene", id);
            out.writeStringField("test", masked(scene.test()));
            out.writeStringField("title", masked(scene.title()));
            out.writeStringField("group", masked(scene.group()));
            out.writeStringField("subject", masked(scene.conversation().subject()));
            out.writeArrayFieldStart("doubles");
            for (NamedDouble info : scene.conversation().doubles()) {
                out.writeStartObject();
                out.writeStringField("name", masked(info.name()));
                out.writeStringField("kind", info.kind().word());
                out.writeStringField("type", masked(info.type()));
                out.writeEndObject();
            }
            out.writeEndArray();
        });
    }

    private void callLine(JsonGenerator lines, int id, RecordedCall call) throws IOException {
        line(lines, out -> {
            out.writeNumberField("call", call.number());
            out.writeNumberField("scene", id);
            out.writeStringField("from", masked(call.caller()));
            out.writeStringField("to", masked(call.receiver()));
            out.writeStringField("method", masked(call.signature()));
            if (!call.instance().isEmpty()) {
                out.writeStringField("instance", masked(call.instance()));
            }
            strings(out, "arguments", call.arguments());
            out.writeStringField("answer", masked(call.answer()));
            out.writeStringField("outcome", call.ending().word());
            out.writeStringField("role", call.role().word());
            out.writeStringField("thread", masked(call.thread()));
            out.writeStringField("file", masked(call.file()));
            out.writeNumberField("line", call.line());
            out.writeNumberField("micros", call.micros());
            if (call.tookMicros() >= 0) {
                out.writeNumberField("took", call.tookMicros());
            }
            if (call.failed()) {
                out.writeBooleanField("failed", true);
            }
            sources(out, call);
        });
    }

    /** Only for values whose text differs from their source; usually the text is enough. */
    private void sources(JsonGenerator out, RecordedCall call) throws IOException {
        boolean told = true;
        for (int i = 0; i < call.arguments().size(); i++) {
            told &= call.argumentSource(i) == ValueSource.AS_TOLD;
        }
        if (!told) {
            out.writeArrayFieldStart("sources");
            for (int i = 0; i < call.arguments().size(); i++) {
                source(out, call.argumentSource(i));
            }
            out.writeEndArray();
        }
        if (call.answerSource() != ValueSource.AS_TOLD) {
            out.writeFieldName("answerSource");
            source(out, call.answerSource());
        }
    }

    private void source(JsonGenerator out, ValueSource source) throws IOException {
        out.writeStartObject();
        if (source.isUnwritten()) {
            out.writeStringField("type", masked(source.type()));
        } else if (source != ValueSource.AS_TOLD) {
            out.writeStringField("code", masked(source.code()));
            if (!source.imports().isEmpty()) {
                strings(out, "imports", source.imports());
            }
        }
        out.writeEndObject();
    }

    private void typeLine(JsonGenerator lines, DoubledType type) throws IOException {
        line(lines, out -> {
            out.writeStringField("type", masked(type.name()));
            out.writeArrayFieldStart("methods");
            for (String method : type.methods()) {
                out.writeString(masked(method));
            }
            out.writeEndArray();
        });
    }

    private void statementLine(JsonGenerator lines, int id, TestStatement statement) throws IOException {
        line(lines, out -> {
            out.writeStringField("statement", statement.verb().word());
            out.writeNumberField("scene", id);
            out.writeStringField("to", masked(statement.receiver()));
            out.writeStringField("method", masked(statement.signature()));
            out.writeStringField("text", masked(statement.text()));
            out.writeStringField("covers", masked(statement.call()));
            if (statement.link()) {
                out.writeBooleanField("link", true);
            }
            out.writeNumberField("min", statement.min());
            if (statement.max() != Integer.MAX_VALUE) {
                out.writeNumberField("max", statement.max());
            }
            out.writeNumberField("found", statement.found());
            out.writeBooleanField("query", statement.query());
            out.writeNumberField("parameters", statement.parameters());
            out.writeNumberField("pinned", statement.pinned());
            out.writeNumberField("order", statement.order());
            out.writeStringField("place", masked(statement.place()));
        });
    }

    private String masked(String text) {
        return Mask.apply(mask, text);
    }

    private void endLine(JsonGenerator lines, int id, JournalScene scene) throws IOException {
        line(lines, out -> {
            out.writeNumberField("end", id);
            out.writeStringField("outcome", scene.outcome().word());
            out.writeStringField("failure", masked(scene.failure()));
            if (!scene.checks()) {
                out.writeBooleanField("unchecked", true);
            }
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
