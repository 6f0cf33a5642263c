package dev.zelotype.challenge.change;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Messages as lines, for any record of strings, numbers, flags, enum constants, lists of strings and other such
 * records: the message's name, then its fields in order, separated by tabs.
 */
public final class Wire {

    private static final Map<String, Class<?>> KINDS = Stream.of(Message.class.getPermittedSubclasses())
            .collect(Collectors.toMap(Class::getSimpleName, type -> type));

    private static final ClassValue<Form> FORMS = new ClassValue<>() {
        @Override
        protected Form computeValue(Class<?> type) {
            return Form.of(type);
        }
    };

    private Wire() {}

    /** How a record is read and made: looked up once, because there are thousands of messages but few types. */
    private record Form(List<RecordComponent> components, Constructor<?> constructor) {

        static Form of(Class<?> type) {
            List<RecordComponent> components = List.of(type.getRecordComponents());
            components.forEach(each -> each.getAccessor().setAccessible(true));
            try {
                Constructor<?> constructor = type.getDeclaredConstructor(
                        components.stream().map(RecordComponent::getType).toArray(Class<?>[]::new));
                constructor.setAccessible(true);
                return new Form(components, constructor);
            } catch (NoSuchMethodException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    public static String line(Message message) {
        StringBuilder out = new StringBuilder(message.getClass().getSimpleName());
        write(message, out);
        return out.toString();
    }

    private static void write(Object value, StringBuilder out) {
        if (value instanceof Record record) {
            for (RecordComponent each : FORMS.get(record.getClass()).components()) {
                try {
                    write(each.getAccessor().invoke(record), out);
                } catch (IllegalAccessException | InvocationTargetException e) {
                    throw new IllegalStateException(e);
                }
            }
        } else if (value instanceof List<?> list) {
            write(list.size(), out);
            list.forEach(each -> write(each, out));
        } else if (value instanceof Enum<?> constant) {
            write(constant.name(), out);
        } else {
            out.append('\t').append(escaped(String.valueOf(value)));
        }
    }

    private static String escaped(String text) {
        return text.replace("\\", "\\\\")
                .replace("\t", "\\t")
                .replace("\n", "\\n")
                .replace("\r", "\\r");
    }

    /**
     * Returns the message of a line.
     *
     * @throws IllegalArgumentException if the line is not a message
     */
    public static Message message(String line) {
        Iterator<String> fields = List.of(line.split("\t", -1)).iterator();
        Class<?> kind = KINDS.get(fields.next());
        if (kind == null) {
            throw new IllegalArgumentException("no message: " + line);
        }
        return (Message) read(kind, kind, fields);
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static Object read(Class<?> type, Type generic, Iterator<String> fields) {
        if (type.isRecord()) {
            return readRecord(type, fields);
        } else if (type == List.class) {
            Class<?> element = (Class<?>) ((ParameterizedType) generic).getActualTypeArguments()[0];
            List<Object> list = new ArrayList<>();
            for (int left = Integer.parseInt(fields.next()); left > 0; left--) {
                list.add(read(element, element, fields));
            }
            return List.copyOf(list);
        }
        String text = unescaped(fields.next());
        if (type == String.class) {
            return text;
        } else if (type == int.class) {
            return Integer.parseInt(text);
        } else if (type == long.class) {
            return Long.parseLong(text);
        } else if (type == boolean.class) {
            return Boolean.parseBoolean(text);
        }
        return Enum.valueOf((Class<? extends Enum>) type, text);
    }

    private static Object readRecord(Class<?> type, Iterator<String> fields) {
        Form form = FORMS.get(type);
        List<Object> values = new ArrayList<>();
        for (RecordComponent each : form.components()) {
            values.add(read(each.getType(), each.getGenericType(), fields));
        }
        try {
            return form.constructor().newInstance(values.toArray());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String unescaped(String field) {
        if (field.indexOf('\\') < 0) {
            return field;
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < field.length(); i++) {
            char c = field.charAt(i);
            if (c == '\\' && i + 1 < field.length()) {
                char escaped = field.charAt(++i);
                text.append(
                        switch (escaped) {
                            case 't' -> '\t';
                            case 'n' -> '\n';
                            case 'r' -> '\r';
                            default -> escaped;
                        });
            } else {
                text.append(c);
            }
        }
        return text.toString();
    }
}
