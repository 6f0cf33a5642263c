package dev.zelotype.challenge;

import dev.zelotype.basics.Mask;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Values as they would be written in a test.
 */
final class Source {

    private static final int LONGEST = 60;

    private Source() {}

    /** The value as source; empty if it cannot be written down, or must not be. */
    static String of(@Nullable Object value) {
        String written = written(value);
        boolean shown = Mask.apply(written).equals(written)
                && !(value instanceof String text && !Mask.apply(text).equals(text));
        return shown ? written : "";
    }

    private static String written(@Nullable Object value) {
        if (value == null) {
            return "null";
        } else if (value instanceof String text) {
            return text.length() > LONGEST ? "" : '"' + escaped(text) + '"';
        } else if (value instanceof Character c) {
            return c == '\'' ? "'\\''" : "'" + escaped(c.toString()) + "'";
        } else if (value instanceof Long) {
            return value + "L";
        } else if (value instanceof Integer || value instanceof Boolean) {
            return value.toString();
        } else if (value instanceof Double number) {
            return Double.isFinite(number) ? number.toString() : "";
        } else if (value instanceof Float number) {
            return Float.isFinite(number) ? number + "f" : "";
        } else if (value instanceof Enum<?> constant) {
            return constant.getDeclaringClass().getSimpleName() + "." + constant.name();
        } else if (value instanceof Duration time) {
            return time.toMillis() % 1000 == 0
                    ? "Duration.ofSeconds(" + time.toSeconds() + ")"
                    : "Duration.parse(\"" + time + "\")";
        }
        return value instanceof Record record ? record(record) : "";
    }

    private static String record(Record record) {
        Class<?> type = record.getClass();
        if (!Modifier.isPublic(type.getModifiers()) || type.isMemberClass()) {
            return "";
        }
        List<String> parts = new ArrayList<>();
        try {
            for (RecordComponent component : type.getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                parts.add(of(component.getAccessor().invoke(record)));
            }
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A record that does not show its parts cannot be written down.
            return "";
        }
        String all = String.join(", ", parts);
        return parts.contains("") || all.length() > LONGEST ? "" : "new " + type.getSimpleName() + "(" + all + ")";
    }

    private static String escaped(String text) {
        StringBuilder out = new StringBuilder();
        text.chars().forEach(c -> {
            switch (c) {
                case '"', '\\' -> out.append('\\').append((char) c);
                case '\n' -> out.append("\\n");
                case '\t' -> out.append("\\t");
                default -> out.append(c < ' ' ? String.format("\\u%04x", c) : String.valueOf((char) c));
            }
        });
        return out.toString();
    }
}
