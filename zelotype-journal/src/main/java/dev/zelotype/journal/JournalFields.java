package dev.zelotype.journal;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import dev.zelotype.conversation.ValueSource;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The fields of one line, each of the type that the format prescribes.
 */
final class JournalFields {

    private static final JsonFactory JSON = new JsonFactory();
    private static final int DEEPEST = 8;
    /** Cached by word, because every line of a call has two. */
    private static final Map<Class<?>, Map<String, Enum<?>>> CONSTANTS = new ConcurrentHashMap<>();

    private final Map<?, ?> fields;
    private final Map<String, String> words;

    private JournalFields(Map<?, ?> fields, Map<String, String> words) {
        this.fields = fields;
        this.words = words;
    }

    /** A line that does not follow the format; the message uses the terms of the format. */
    static final class Damaged extends Exception {
        private static final long serialVersionUID = 1L;

        Damaged(String message) {
            super(message, null, false, false);
        }
    }

    /** Reads a line; {@code words} holds one copy of each repeated string. */
    static JournalFields parse(String line, Map<String, String> words) throws Damaged {
        try (JsonParser parser = JSON.createParser(line)) {
            parser.nextToken();
            Object value = value(parser, 0);
            if (!(value instanceof Map<?, ?> fields) || parser.nextToken() != null) {
                throw new Damaged("it is not a JSON object");
            }
            return new JournalFields(fields, words);
        } catch (IOException e) {
            throw new Damaged("it is not a JSON object");
        }
    }

    private static @Nullable Object value(JsonParser parser, int depth) throws IOException, Damaged {
        JsonToken token = parser.currentToken();
        if (token == null || depth > DEEPEST) {
            throw new Damaged("it is not a JSON object");
        } else if (token == JsonToken.START_OBJECT) {
            Map<String, @Nullable Object> fields = new LinkedHashMap<>();
            while (parser.nextToken() != JsonToken.END_OBJECT) {
                String name = parser.currentName();
                parser.nextToken();
                fields.put(name, value(parser, depth + 1));
            }
            return fields;
        } else if (token == JsonToken.START_ARRAY) {
            List<@Nullable Object> elements = new ArrayList<>();
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                elements.add(value(parser, depth + 1));
            }
            return elements;
        } else if (token == JsonToken.VALUE_NUMBER_INT) {
            return parser.getNumberValue();
        } else if (token == JsonToken.VALUE_TRUE || token == JsonToken.VALUE_FALSE) {
            return parser.getBooleanValue();
        }
        return token == JsonToken.VALUE_NULL ? null : parser.getText();
    }

    boolean has(String name) {
        return fields.containsKey(name);
    }

    String textIfThere(String name) throws Damaged {
        return has(name) ? text(name) : "";
    }

    String text(String name) throws Damaged {
        if (!fields.containsKey(name)) {
            return "";
        }
        if (fields.get(name) instanceof String text) {
            return Visible.text(text);
        }
        throw new Damaged("\"" + name + "\" is not a text");
    }

    /** A string that is repeated often and kept once. */
    String word(String name) throws Damaged {
        if (fields.get(name) instanceof String raw) {
            return words.computeIfAbsent(raw, Visible::text);
        }
        return text(name);
    }

    int number(String name) throws Damaged {
        long number = count(name, 0);
        if (number > Integer.MAX_VALUE) {
            throw new Damaged("\"" + name + "\" is too large");
        }
        return (int) number;
    }

    /** A number of zero or more. */
    long count(String name, long missing) throws Damaged {
        if (!fields.containsKey(name)) {
            return missing;
        }
        Object value = fields.get(name);
        if ((value instanceof Integer || value instanceof Long) && ((Number) value).longValue() >= 0) {
            return ((Number) value).longValue();
        }
        throw new Damaged("\"" + name + "\" must be a number of zero or more");
    }

    boolean flag(String name) throws Damaged {
        if (!fields.containsKey(name)) {
            return false;
        }
        if (fields.get(name) instanceof Boolean flag) {
            return flag;
        }
        throw new Damaged("\"" + name + "\" is neither true nor false");
    }

    List<String> texts(String name) throws Damaged {
        List<String> texts = new ArrayList<>();
        for (Object each : list(name)) {
            if (!(each instanceof String text)) {
                throw new Damaged("\"" + name + "\" holds something that is not a text");
            }
            texts.add(Visible.text(text));
        }
        return texts;
    }

    List<JournalFields> objects(String name) throws Damaged {
        List<JournalFields> objects = new ArrayList<>();
        for (Object each : list(name)) {
            if (!(each instanceof Map<?, ?> map)) {
                throw new Damaged("\"" + name + "\" holds something that is not an object");
            }
            objects.add(new JournalFields(map, words));
        }
        return objects;
    }

    List<ValueSource> sources(String name) throws Damaged {
        List<ValueSource> sources = new ArrayList<>();
        for (JournalFields each : objects(name)) {
            sources.add(each.source());
        }
        return sources;
    }

    ValueSource source(String name) throws Damaged {
        if (!fields.containsKey(name)) {
            return ValueSource.AS_TOLD;
        }
        if (fields.get(name) instanceof Map<?, ?> map) {
            return new JournalFields(map, words).source();
        }
        throw new Damaged("\"" + name + "\" is not an object");
    }

    private ValueSource source() throws Damaged {
        if (has("code")) {
            return ValueSource.of(text("code"), texts("imports"));
        }
        return has("type") ? ValueSource.unwritten(word("type")) : ValueSource.AS_TOLD;
    }

    private List<?> list(String name) throws Damaged {
        if (!fields.containsKey(name)) {
            return List.of();
        }
        if (fields.get(name) instanceof List<?> list) {
            return list;
        }
        throw new Damaged("\"" + name + "\" is not a list");
    }

    /** A word of an enum. */
    <E extends Enum<E>> E word(String name, Class<E> type) throws Damaged {
        Map<String, Enum<?>> known = CONSTANTS.computeIfAbsent(type, JournalFields::constants);
        E found = fields.get(name) instanceof String word ? type.cast(known.get(word)) : null;
        if (found == null) {
            throw new Damaged("\"" + name + "\" is none of "
                    + String.join(", ", known.keySet().stream().sorted().toList()));
        }
        return found;
    }

    private static Map<String, Enum<?>> constants(Class<?> type) {
        Map<String, Enum<?>> known = new HashMap<>();
        for (Object each : type.getEnumConstants()) {
            Enum<?> constant = (Enum<?>) each;
            known.put(constant.name().toLowerCase(Locale.ROOT), constant);
        }
        return known;
    }
}
