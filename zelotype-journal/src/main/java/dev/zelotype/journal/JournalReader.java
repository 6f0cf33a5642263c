package dev.zelotype.journal;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Ending;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.doubles.RecordedCall;
import dev.zelotype.doubles.Role;
import dev.zelotype.doubles.TestStatement;
import dev.zelotype.doubles.Verb;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * For readers and writers of journals: reads journals, scene by scene, in memory bounded by the largest scene.
 *
 * <pre>{@code
 * JournalReader.read(Path.of("target/journal"), scene -> System.out.println(scene.title() + " " + scene.outcome()));
 * }</pre>
 */
public final class JournalReader {

    private final Consumer<JournalScene> sink;
    private final JsonFactory json = new JsonFactory();
    private final Map<Integer, Open> open = new LinkedHashMap<>();
    private final Map<String, DoubledType> types = new HashMap<>();
    private final Map<String, String> words = new HashMap<>();

    private static final class Open {
        private final Map<String, Object> scene;
        private final List<RecordedCall> calls = new ArrayList<>();
        private final List<TestStatement> statements = new ArrayList<>();

        Open(Map<String, Object> scene) {
            this.scene = scene;
        }
    }

    private JournalReader(Consumer<JournalScene> sink) {
        this.sink = sink;
    }

    /**
     * Reads all journals of a folder, in the order of their names, or one file.
     *
     * @param folderOrFile what to read
     * @param sink is given each scene that ended
     * @throws JournalException if there is no journal, or one cannot be read; a last line that was cut off is passed over
     */
    public static void read(Path folderOrFile, Consumer<JournalScene> sink) {
        List<Path> files = new ArrayList<>();
        if (Files.isDirectory(folderOrFile)) {
            try (Stream<Path> all = Files.list(folderOrFile)) {
                all.filter(file -> file.getFileName().toString().endsWith(".jsonl"))
                        .sorted()
                        .forEach(files::add);
            } catch (IOException e) {
                throw new JournalException("The folder " + folderOrFile + " cannot be read: " + e + ".", e);
            }
        } else if (Files.exists(folderOrFile)) {
            files.add(folderOrFile);
        }
        if (files.isEmpty()) {
            throw new JournalException(
                    "There is no journal in " + folderOrFile + ". Run the tests with zelotype.journal=" + folderOrFile
                            + " first.",
                    null);
        }
        for (Path file : files) {
            new JournalReader(sink).readFile(file);
        }
    }

    private void readFile(Path file) {
        try (BufferedReader lines = Files.newBufferedReader(file)) {
            int number = 1;
            for (String line = lines.readLine(); line != null; number++) {
                String next = lines.readLine();
                readLine(file, number, line, next == null);
                line = next;
            }
        } catch (IOException e) {
            throw new JournalException("The journal " + file + " cannot be read: " + e + ".", e);
        }
    }

    private void readLine(Path file, int number, String line, boolean last) {
        try {
            Map<String, Object> fields = parse(line);
            if (number == 1) {
                header(file, fields);
            } else {
                take(fields);
            }
        } catch (IOException | ClassCastException | IllegalArgumentException | IndexOutOfBoundsException e) {
            if (!last) {
                throw new JournalException(
                        "Line " + number + " of the journal " + file + " is damaged: " + e.getMessage(), e);
            }
        }
    }

    private static void header(Path file, Map<String, Object> fields) {
        if (!(fields.get("journal") instanceof Integer version)) {
            throw new JournalException(file + " is no Zelotype journal: its first line gives no version.", null);
        }
        if (version > JournalWriter.VERSION) {
            throw new JournalException(
                    "The journal " + file + " is of version " + version + ", but this Zelotype reads up to "
                            + "version " + JournalWriter.VERSION
                            + ". Read it with the Zelotype that wrote it, or a newer one.",
                    null);
        }
    }

    private void take(Map<String, Object> fields) {
        if (fields.containsKey("call")) {
            Open scene = open.get(number(fields, "scene"));
            if (scene != null) {
                scene.calls.add(call(fields));
            }
        } else if (fields.containsKey("statement")) {
            Open scene = open.get(number(fields, "scene"));
            if (scene != null) {
                scene.statements.add(statement(fields));
            }
        } else if (fields.containsKey("type")) {
            String name = text(fields, "type");
            types.put(name, DoubledType.of(name, strings(fields, "methods")));
        } else if (fields.containsKey("scene")) {
            open.put(number(fields, "scene"), new Open(fields));
        } else if (fields.containsKey("end")) {
            Open scene = open.remove(number(fields, "end"));
            if (scene != null) {
                sink.accept(scene(scene, fields));
            }
        }
    }

    private RecordedCall call(Map<String, Object> fields) {
        return RecordedCall.builder()
                .number(number(fields, "call"))
                .caller(word(fields, "from"))
                .receiver(word(fields, "to"))
                .signature(word(fields, "method"))
                .arguments(strings(fields, "arguments"))
                .answer(text(fields, "answer"))
                .ending(Ending.valueOf(constant(text(fields, "outcome"))))
                .role(Role.valueOf(constant(text(fields, "role"))))
                .thread(word(fields, "thread"))
                .file(word(fields, "file"))
                .line(number(fields, "line"))
                .micros(fields.get("micros") instanceof Number micros ? micros.longValue() : 0)
                .tookMicros(fields.get("took") instanceof Number took ? took.longValue() : -1)
                .build();
    }

    private TestStatement statement(Map<String, Object> fields) {
        return TestStatement.builder()
                .verb(Verb.valueOf(constant(text(fields, "statement"))))
                .receiver(word(fields, "to"))
                .signature(word(fields, "method"))
                .text(text(fields, "text"))
                .min(number(fields, "min"))
                .max(fields.containsKey("max") ? number(fields, "max") : Integer.MAX_VALUE)
                .found(number(fields, "found"))
                .query(Boolean.TRUE.equals(fields.get("query")))
                .parameters(number(fields, "parameters"))
                .pinned(number(fields, "pinned"))
                .order(number(fields, "order"))
                .place(word(fields, "place"))
                .build();
    }

    /** A text that comes again and again, kept once. */
    private String word(Map<String, Object> fields, String name) {
        return words.computeIfAbsent(text(fields, name), same -> same);
    }

    private JournalScene scene(Open open, Map<String, Object> end) {
        Conversation.Builder told = Conversation.builder().subject(text(open.scene, "subject"));
        Set<String> doubledTypes = new HashSet<>();
        for (Object each : (List<?>) open.scene.getOrDefault("doubles", List.of())) {
            Map<?, ?> info = (Map<?, ?>) each;
            String type = (String) info.get("type");
            told.add(
                    NamedDouble.of((String) info.get("name"), Kind.valueOf(constant((String) info.get("kind"))), type));
            if (doubledTypes.add(type)) {
                told.add(types.getOrDefault(type, DoubledType.of(type, List.of())));
            }
        }
        open.calls.forEach(told::add);
        open.statements.forEach(told::add);
        strings(end, "notes").forEach(told::note);
        return JournalScene.of(text(open.scene, "test"), told.build())
                .title(text(open.scene, "title"))
                .group(text(open.scene, "group"))
                .ended(JournalScene.Outcome.valueOf(constant(text(end, "outcome"))), text(end, "failure"))
                .build();
    }

    private static String constant(String word) {
        return word.toUpperCase(Locale.ROOT);
    }

    private static String text(Map<String, Object> fields, String name) {
        return (String) fields.getOrDefault(name, "");
    }

    private static int number(Map<String, Object> fields, String name) {
        return (Integer) fields.getOrDefault(name, 0);
    }

    private static List<String> strings(Map<String, Object> fields, String name) {
        List<String> strings = new ArrayList<>();
        for (Object each : (List<?>) fields.getOrDefault(name, List.of())) {
            strings.add((String) each);
        }
        return strings;
    }

    @SuppressWarnings("unchecked")
    private Map<String, Object> parse(String line) throws IOException {
        try (JsonParser parser = json.createParser(line)) {
            parser.nextToken();
            return (Map<String, Object>) value(parser);
        }
    }

    private static @Nullable Object value(JsonParser parser) throws IOException {
        JsonToken token = parser.currentToken();
        if (token == JsonToken.START_OBJECT) {
            Map<String, @Nullable Object> fields = new LinkedHashMap<>();
            while (parser.nextToken() != JsonToken.END_OBJECT) {
                String name = parser.currentName();
                parser.nextToken();
                fields.put(name, value(parser));
            }
            return fields;
        } else if (token == JsonToken.START_ARRAY) {
            List<@Nullable Object> elements = new ArrayList<>();
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                elements.add(value(parser));
            }
            return elements;
        } else if (token == JsonToken.VALUE_NUMBER_INT) {
            return parser.getNumberValue();
        } else if (token == JsonToken.VALUE_TRUE || token == JsonToken.VALUE_FALSE) {
            return parser.getBooleanValue();
        }
        return token == JsonToken.VALUE_NULL ? null : parser.getText();
    }
}
