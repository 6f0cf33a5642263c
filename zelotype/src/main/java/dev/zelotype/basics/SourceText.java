package dev.zelotype.basics;

import java.lang.reflect.Array;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.time.MonthDay;
import java.time.Period;
import java.time.ZoneId;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;

/**
 * A value as a Java expression for a test, with the types to import for it. Immutable.
 *
 * <pre>{@code
 * SourceText warning = SourceText.of(Optional.of("rain"));
 * String code = warning.code();               // Optional.of("rain")
 * Set<String> imports = warning.imports();    // [java.util.Optional]
 * }</pre>
 *
 * @param code the expression
 * @param imports the qualified names of the types that it refers to, without those of {@code java.lang}
 */
public record SourceText(String code, SortedSet<String> imports) {

    private static final int MOST_ELEMENTS = 30;
    /** A value with more parts, or one that contains itself, is not readable as source. */
    private static final int MOST_VALUES = 200;

    /** As many as {@code Map.of} accepts. */
    private static final int MOST_ENTRIES = 10;

    /**
     * A value as source.
     *
     * @param value the value; may be null
     * @return null for a value that cannot be read or written as source, or that a mask hides
     */
    public static @Nullable SourceText of(@Nullable Object value) {
        TreeSet<String> imports = new TreeSet<>();
        String code;
        try {
            code = new Writer(imports, new int[1]).write(value);
        } catch (RuntimeException | LinkageError | StackOverflowError e) {
            // Some values are code of the test: a collection around one of its own, or an exception's message.
            return null;
        }
        return code == null || !Mask.apply(code).equals(code) ? null : new SourceText(code, imports);
    }

    /** A type as source; null if other classes cannot name it. */
    private static @Nullable String name(Class<?> type, Set<String> imports) {
        if (type.isArray()) {
            String element = name(type.getComponentType(), imports);
            return element == null ? null : element + "[]";
        }
        if (type.isPrimitive()) {
            return type.getName();
        }
        String qualified = type.getCanonicalName();
        if (qualified == null || type.isHidden() || type.isSynthetic()) {
            return null;
        }
        Class<?> outermost = type;
        for (Class<?> each = type; each != null; each = each.getEnclosingClass()) {
            if (Modifier.isPrivate(each.getModifiers())) {
                return null;
            }
            outermost = each;
        }
        String home = outermost.getPackageName();
        if (!home.equals("java.lang") && !home.isEmpty()) {
            imports.add(outermost.getCanonicalName());
        }
        return home.isEmpty() ? qualified : qualified.substring(home.length() + 1);
    }

    private static String quoted(String text) {
        StringBuilder out = new StringBuilder("\"");
        text.chars().forEach(c -> out.append(escaped((char) c, '"')));
        return out.append('"').toString();
    }

    private static String escaped(char c, char quote) {
        return switch (c) {
            case '\\' -> "\\\\";
            case '\n' -> "\\n";
            case '\r' -> "\\r";
            case '\t' -> "\\t";
            default ->
                c == quote
                        ? "\\" + c
                        : c < ' ' || c == '\u2028' || c == '\u2029'
                                ? String.format(Locale.ROOT, "\\u%04x", (int) c)
                                : String.valueOf(c);
        };
    }

    /**
     * Writes one value with all its parts.
     *
     * @param written the number of values written so far
     */
    private record Writer(Set<String> imports, int[] written) {

        @Nullable
        String write(@Nullable Object value) {
            if (++written[0] > MOST_VALUES) {
                return null;
            } else if (value == null) {
                return "null";
            } else if (value instanceof String text) {
                // Before it is quoted, because then a mask may no longer match.
                return Mask.apply(text).equals(text) ? quoted(text) : null;
            } else if (value instanceof Character c) {
                return "'" + escaped(c, '\'') + "'";
            } else if (value instanceof Number number) {
                return number(number);
            } else if (value instanceof Boolean) {
                return value.toString();
            } else if (value instanceof Enum<?> constant) {
                String type = name(constant.getDeclaringClass());
                return type == null ? null : type + "." + constant.name();
            } else if (value instanceof Optional<?> optional) {
                return optional.isEmpty()
                        ? called(Optional.class, "empty")
                        : called(Optional.class, "of", optional.get());
            } else if (value instanceof OptionalInt optional) {
                return optional.isEmpty()
                        ? called(OptionalInt.class, "empty")
                        : called(OptionalInt.class, "of", optional.getAsInt());
            } else if (value instanceof OptionalLong optional) {
                return optional.isEmpty()
                        ? called(OptionalLong.class, "empty")
                        : called(OptionalLong.class, "of", optional.getAsLong());
            } else if (value instanceof OptionalDouble optional) {
                return optional.isEmpty()
                        ? called(OptionalDouble.class, "empty")
                        : called(OptionalDouble.class, "of", optional.getAsDouble());
            } else if (value.getClass() == CompletableFuture.class) {
                return future((CompletableFuture<?>) value);
            } else if (value instanceof Collection<?> all) {
                return collection(all);
            } else if (value instanceof Map<?, ?> map) {
                return map(map);
            } else if (value.getClass().isArray()) {
                return array(value);
            } else if (value instanceof Record record) {
                return record(record);
            } else if (value instanceof Throwable thrown) {
                return thrown(thrown);
            } else if (value instanceof Class<?> type) {
                String written = name(type);
                return written == null ? null : written + ".class";
            }
            return ofJdk(value);
        }

        private @Nullable String name(Class<?> type) {
            return SourceText.name(type, imports);
        }

        private @Nullable String called(Class<?> type, String method, @Nullable Object... arguments) {
            String all = list(arguments);
            return all == null ? null : name(type) + "." + method + "(" + all + ")";
        }

        private @Nullable String list(@Nullable Object[] values) {
            List<String> all = new ArrayList<>();
            for (Object each : values) {
                String code = write(each);
                if (code == null) {
                    return null;
                }
                all.add(code);
            }
            return String.join(", ", all);
        }

        private @Nullable String number(Number number) {
            if (number instanceof Integer) {
                return number.toString();
            } else if (number instanceof Long) {
                return number + "L";
            } else if (number instanceof Double n) {
                return Double.isFinite(n)
                        ? n.toString()
                        : Double.isNaN(n)
                                ? "Double.NaN"
                                : n > 0 ? "Double.POSITIVE_INFINITY" : "Double.NEGATIVE_INFINITY";
            } else if (number instanceof Float n) {
                return Float.isFinite(n)
                        ? n + "f"
                        : Float.isNaN(n) ? "Float.NaN" : n > 0 ? "Float.POSITIVE_INFINITY" : "Float.NEGATIVE_INFINITY";
            } else if (number instanceof Short) {
                return "(short) " + number;
            } else if (number instanceof Byte) {
                return "(byte) " + number;
            }
            return number instanceof BigDecimal || number instanceof BigInteger
                    ? "new " + name(number.getClass()) + "(" + quoted(number.toString()) + ")"
                    : null;
        }

        private @Nullable String collection(Collection<?> all) {
            boolean list = all instanceof List;
            // Elements of other classes may be loaded when they are read.
            if (!CodeOwner.isOfJdk(all.getClass()) || !list && !(all instanceof Set) || all.size() > MOST_ELEMENTS) {
                return null;
            } else if (hasNull(all)) {
                return list && all.size() > 1 ? called(Arrays.class, "asList", all.toArray()) : null;
            }
            return called(list ? List.class : Set.class, "of", all.toArray());
        }

        /** For a completed future; the result of any other is unknown. */
        private @Nullable String future(CompletableFuture<?> future) {
            return future.isDone() && !future.isCompletedExceptionally()
                    ? called(CompletableFuture.class, "completedFuture", future.join())
                    : null;
        }

        private static boolean hasNull(Collection<?> all) {
            return all.stream().anyMatch(each -> each == null);
        }

        private @Nullable String map(Map<?, ?> map) {
            if (!CodeOwner.isOfJdk(map.getClass())) {
                return null;
            }
            List<Object> all = new ArrayList<>();
            map.forEach((key, value) -> {
                all.add(key);
                all.add(value);
            });
            return hasNull(all) || map.size() > MOST_ENTRIES ? null : called(Map.class, "of", all.toArray());
        }

        private @Nullable String array(Object array) {
            int length = Array.getLength(array);
            String type = name(array.getClass());
            if (type == null || length > MOST_ELEMENTS) {
                return null;
            }
            Object[] all = new Object[length];
            for (int i = 0; i < length; i++) {
                all[i] = Array.get(array, i);
            }
            String elements = list(all);
            return elements == null ? null : "new " + type + " {" + elements + "}";
        }

        private @Nullable String record(Record record) {
            String type = name(record.getClass());
            if (type == null) {
                return null;
            }
            List<Object> parts = new ArrayList<>();
            try {
                for (RecordComponent component : record.getClass().getRecordComponents()) {
                    if (Mask.isSecretName(component.getName())) {
                        return null;
                    }
                    component.getAccessor().setAccessible(true);
                    parts.add(component.getAccessor().invoke(record));
                }
            } catch (ReflectiveOperationException e) {
                // A record whose components cannot be read has no source.
                return null;
            }
            String all = list(parts.toArray());
            String generic = record.getClass().getTypeParameters().length > 0 ? "<>" : "";
            return all == null ? null : "new " + type + generic + "(" + all + ")";
        }

        private @Nullable String thrown(Throwable thrown) {
            String type = name(thrown.getClass());
            String message = thrown.getMessage();
            try {
                thrown.getClass().getConstructor(message == null ? new Class<?>[0] : new Class<?>[] {String.class});
            } catch (NoSuchMethodException e) {
                // An exception whose constructor needs more than a message has no source.
                return null;
            }
            return type == null ? null : "new " + type + "(" + (message == null ? "" : quoted(message)) + ")";
        }

        private @Nullable String ofJdk(Object value) {
            if (value instanceof Duration time) {
                return time.toNanosPart() == 0
                        ? name(Duration.class) + ".ofSeconds(" + time.toSeconds() + ")"
                        : time.toNanosPart() % 1_000_000 == 0 && time.abs().toDays() < 1_000_000
                                ? name(Duration.class) + ".ofMillis(" + time.toMillis() + ")"
                                : parsed(Duration.class, value);
            } else if (value instanceof Temporal
                    && value.getClass().getPackageName().equals("java.time")) {
                return parsed(value.getClass(), value);
            } else if (value instanceof Period || value instanceof MonthDay) {
                return parsed(value.getClass(), value);
            } else if (value instanceof ZoneId zone) {
                return called(ZoneId.class, "of", zone.getId());
            } else if (value instanceof UUID id) {
                return called(UUID.class, "fromString", id.toString());
            } else if (value instanceof URI uri) {
                return called(URI.class, "create", uri.toString());
            } else if (value instanceof Path path) {
                return called(Path.class, "of", path.toString());
            } else if (value instanceof Locale locale) {
                return called(Locale.class, "forLanguageTag", locale.toLanguageTag());
            }
            return null;
        }

        private @Nullable String parsed(Class<?> type, Object value) {
            return called(type, "parse", value.toString());
        }
    }
}
