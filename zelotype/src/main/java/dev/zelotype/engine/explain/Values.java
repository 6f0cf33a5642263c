package dev.zelotype.engine.explain;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.Mask;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.ObjectNumbers;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.engine.replace.ReplacingScene;
import dev.zelotype.engine.replace.Seat;
import java.lang.reflect.Array;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;

/**
 * Values as text for one line of a message: short, without invisible characters, whatever their {@code toString}
 * returns.
 */
public final class Values {

    private static final int LONGEST = 120;
    private static final int MOST_ELEMENTS = 12;
    private static final int DEEPEST = 4;

    private Values() {}

    public static String print(@Nullable Object value) {
        if (value == null || isPlain(value)) {
            return print(value, DEEPEST);
        }
        boolean entered = Unrecorded.enter();
        try {
            return print(value, DEEPEST);
        } finally {
            Unrecorded.leave(entered);
        }
    }

    /** As {@link #print(Object)}, for a value with a name: a password in an array is never shown. */
    public static String print(String place, @Nullable Object value) {
        return ReadableText.isSecret(place, value) ? Mask.MASKED : print(value);
    }

    /** Whether nothing of a value may be shown, not even its length. */
    static boolean isHidden(String place, Object value) {
        return ReadableText.isSecret(place, value) || ReadableText.isMasked(value);
    }

    /** Whether printing it runs no code outside the JDK. */
    private static boolean isPlain(Object value) {
        return value instanceof String
                || value instanceof Number && CodeOwner.isOfJdk(value.getClass())
                || value instanceof Boolean;
    }

    private static String print(@Nullable Object value, int depth) {
        if (value == null) {
            return "null";
        } else if (value instanceof String text) {
            return quote(text, '"');
        } else if (value instanceof Character c) {
            return quote(c.toString(), '\'');
        } else if (value instanceof Class<?> type) {
            return type.getSimpleName() + ".class";
        }
        Participant participant = DoubleClass.participantOf(value);
        if (participant != null) {
            return participant.name();
        }
        try {
            return depth == 0 ? "..." : printOther(value, depth);
        } catch (Throwable e) {
            return typeName(value.getClass()) + " (its toString threw " + typeName(e.getClass()) + ")";
        }
    }

    private static String printOther(Object value, int depth) {
        Class<?> type = value.getClass();
        Iterable<?> elements = elementsOf(value);
        if (ReadableText.isMasked(value)) {
            return Mask.MASKED;
        } else if (elements != null) {
            int size = elements instanceof Collection<?> all ? all.size() : Array.getLength(value);
            return elements(elements, size, depth);
        } else if (value instanceof Map<?, ?> map && CodeOwner.isOfJdk(type)) {
            return entries(map, depth);
        } else if (value instanceof Throwable thrown) {
            return typeName(type) + (thrown.getMessage() == null ? "" : ": " + plain(numbered(thrown.getMessage())));
        } else if (type.isHidden() || type.isSynthetic()) {
            return "a lambda";
        }
        String text = value.toString();
        if (text == null) {
            return typeName(type) + " (its toString gave null)";
        }
        return plain(numbered(value instanceof Future && CodeOwner.isOfJdk(type) ? withoutState(text) : text));
    }

    /** A future is equal before and after its completion. */
    private static String withoutState(String text) {
        int state = text.indexOf('[');
        return state < 0 ? text : text.substring(0, state);
    }

    private static String numbered(String text) {
        if (text.indexOf('@') < 0) {
            return text;
        }
        ReplacingScene scene = Seat.current();
        return ObjectNumbers.here(scene == null ? null : scene.numbers()).numbered(text);
    }

    /** The elements of an array or of a collection of the JDK; null for other values. */
    static @Nullable Iterable<?> elementsOf(Object value) {
        if (value.getClass().isArray()) {
            return new ArrayElements(value);
        }
        return value instanceof Collection<?> all && CodeOwner.isOfJdk(value.getClass()) ? all : null;
    }

    private record ArrayElements(Object array) implements Iterable<Object> {

        @Override
        public java.util.Iterator<Object> iterator() {
            return new java.util.Iterator<>() {
                private int next;

                @Override
                public boolean hasNext() {
                    return next < Array.getLength(array);
                }

                @Override
                public Object next() {
                    return Array.get(array, next++);
                }
            };
        }
    }

    private static String elements(Iterable<?> all, int size, int depth) {
        StringBuilder out = new StringBuilder("[");
        int shown = 0;
        for (Object element : all) {
            out.append(shown == 0 ? "" : ", ");
            if (shown == MOST_ELEMENTS) {
                return out.append("... ").append(size).append(" in all]").toString();
            }
            out.append(print(element, depth - 1));
            shown++;
        }
        return out.append(']').toString();
    }

    private static String entries(Map<?, ?> map, int depth) {
        StringBuilder out = new StringBuilder("{");
        int shown = 0;
        for (Map.Entry<?, ?> entry : map.entrySet()) {
            out.append(shown == 0 ? "" : ", ");
            if (shown == MOST_ELEMENTS) {
                return out.append("... ").append(map.size()).append(" in all}").toString();
            }
            out.append(print(entry.getKey(), depth - 1)).append('=').append(print(entry.getValue(), depth - 1));
            shown++;
        }
        return out.append('}').toString();
    }

    /** A type's name without its package. */
    public static String typeName(Class<?> type) {
        String name = type.getSimpleName();
        return name.isEmpty() ? type.getName().substring(type.getName().lastIndexOf('.') + 1) : name;
    }

    private static String quote(String original, char mark) {
        String text = Mask.apply(original);
        String shown = text.length() > LONGEST ? start(text) : text;
        String quoted = mark + visible(shown, mark) + mark;
        return text.length() > LONGEST ? quoted + "... (" + text.length() + " characters)" : quoted;
    }

    private static String plain(String original) {
        String text = Mask.apply(original);
        String shown = text.length() > LONGEST ? start(text) : text;
        return visible(shown, '\0') + (text.length() > LONGEST ? "... (" + text.length() + " characters)" : "");
    }

    /** The shown part of a long text, without a split surrogate pair. */
    private static String start(String text) {
        return text.substring(0, Character.isHighSurrogate(text.charAt(LONGEST - 1)) ? LONGEST - 1 : LONGEST);
    }

    private static String visible(String text, char mark) {
        StringBuilder out = new StringBuilder(text.length() + 8);
        for (int i = 0; i < text.length(); i += Character.charCount(text.codePointAt(i))) {
            int c = text.codePointAt(i);
            switch (c) {
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                case '\t' -> out.append("\\t");
                case '\\' -> out.append(mark == '\0' ? "\\" : "\\\\");
                default -> {
                    if (c == mark) {
                        out.append('\\').append(mark);
                    } else if (isInvisible(c)) {
                        for (char each : Character.toChars(c)) {
                            out.append(String.format("\\u%04x", (int) each));
                        }
                    } else {
                        out.appendCodePoint(c);
                    }
                }
            }
        }
        return out.toString();
    }

    /** Whether a character is invisible, or looks like a plain blank. */
    private static boolean isInvisible(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR,
                    Character.SURROGATE,
                    Character.UNASSIGNED -> true;
            case Character.SPACE_SEPARATOR -> c != ' ';
            default -> c >= 0xfe00 && c <= 0xfe0f || c >= 0xe0100 && c <= 0xe01ef;
        };
    }
}
