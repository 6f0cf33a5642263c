package dev.zelotype.challenge.values;

import dev.zelotype.Zelotype;
import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.GenericTypes;
import dev.zelotype.basics.Zero;
import dev.zelotype.host.DisturbedCall;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Other records, other objects of the user's classes, and replacements for null.
 */
final class OtherObjects {

    private OtherObjects() {}

    /**
     * Replacements for a record: with all components changed, if its constructor accepts them, then with one at a time.
     */
    static List<Object> ofRecord(Record record, int depth) {
        List<Object> others = new ArrayList<>();
        Map<Integer, Object> changes = changes(record, depth);
        Alterations.add(others, rebuilt(record, changes));
        others.addAll(parts(record, depth).values());
        return others;
    }

    /** Copies of a record with one component changed, by component name. */
    static Map<String, Object> parts(Record record, int depth) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Map<String, Object> parts = new LinkedHashMap<>();
        changes(record, depth).forEach((place, other) -> {
            Object changed = rebuilt(record, Map.of(place, other));
            if (changed != null) {
                parts.put(components[place].getName(), changed);
            }
        });
        return parts;
    }

    /** Another value for each component that has one. */
    private static Map<Integer, Object> changes(Record record, int depth) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Map<Integer, Object> changes = new LinkedHashMap<>();
        for (int i = 0; i < components.length; i++) {
            Object part = part(record, components[i]);
            List<Object> others = new ArrayList<>(Alterations.of(part, type(components[i]), depth + 1));
            if (part instanceof Number number) {
                // A record that refuses very different values may accept similar ones.
                others.addAll(OtherValues.near(number));
            }
            for (Object other : others) {
                if (rebuilt(record, Map.of(i, other)) != null) {
                    changes.put(i, other);
                    break;
                }
            }
        }
        return changes;
    }

    private static Type type(RecordComponent component) {
        return GenericTypes.orElse(component::getGenericType, component.getType());
    }

    private static Type type(Field field) {
        return GenericTypes.orElse(field::getGenericType, field.getType());
    }

    private static @Nullable Object part(Record record, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(record);
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A component that cannot be read is ignored.
            return null;
        }
    }

    private static @Nullable Object rebuilt(Record record, Map<Integer, Object> changes) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        for (int i = 0; i < components.length; i++) {
            Object other = changes.get(i);
            values[i] = other == null ? part(record, components[i]) : other;
        }
        return changes.isEmpty() ? null : made(record.getClass(), components, values);
    }

    private static @Nullable Object made(Class<?> type, RecordComponent[] components, Object[] values) {
        try {
            Class<?>[] types = new Class<?>[components.length];
            for (int i = 0; i < types.length; i++) {
                types[i] = components[i].getType();
            }
            Constructor<?> constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return constructor.newInstance(values);
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A record that refuses other values has no replacement.
            return null;
        }
    }

    /** An exception of the same class with another message. */
    static @Nullable Object ofThrowable(Throwable thrown) {
        Object same = thrown(thrown.getClass());
        return same != null ? same : new IllegalStateException("disturbed");
    }

    /** A new exception of a class; null if none can be made. */
    static @Nullable Throwable thrown(Class<?> type) {
        for (Class<?>[] parameters : new Class<?>[][] {{String.class}, {}, {String.class, Throwable.class}}) {
            try {
                Constructor<?> constructor = type.getDeclaredConstructor(parameters);
                constructor.setAccessible(true);
                Object[] arguments = new Object[parameters.length];
                if (arguments.length > 0) {
                    arguments[0] = "disturbed";
                }
                return (Throwable) constructor.newInstance(arguments);
            } catch (ReflectiveOperationException | RuntimeException e) {
                // Perhaps the next constructor works.
                continue;
            }
        }
        return null;
    }

    /** Replacements for an object of one of the user's classes. */
    static List<Object> of(Object value, Class<?> raw, int depth) {
        Class<?> own = value.getClass();
        boolean comparable = !CodeOwner.isOfJdk(own) && !own.isHidden() && !own.isSynthetic() && hasEquals(own);
        List<Object> others = new ArrayList<>();
        if (comparable) {
            others.addAll(copies(value, depth));
        }
        others.addAll(made(raw.isInterface() || CodeOwner.isOfJdk(raw) ? raw : own));
        return others;
    }

    private static boolean hasEquals(Class<?> type) {
        try {
            return type.getMethod("equals", Object.class).getDeclaringClass() != Object.class;
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Copies of a value: the first with all possible fields changed, the others with one. */
    private static List<Object> copies(Object value, int depth) {
        Map<Field, Object> changes = new LinkedHashMap<>();
        for (Field field : fields(value.getClass())) {
            try {
                List<Object> others = Alterations.of(field.get(value), type(field), depth + 1);
                if (!others.isEmpty()) {
                    changes.put(field, others.get(0));
                }
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        }
        List<Object> copies = new ArrayList<>();
        if (!changes.isEmpty()) {
            Alterations.add(copies, copy(value, changes));
            changes.forEach((field, other) -> Alterations.add(copies, copy(value, Map.of(field, other))));
        }
        return copies;
    }

    private static List<Field> fields(Class<?> type) {
        List<Field> fields = new ArrayList<>();
        for (Class<?> each = type; each != null && each != Object.class; each = each.getSuperclass()) {
            for (Field field : each.getDeclaredFields()) {
                if (!Modifier.isStatic(field.getModifiers()) && field.trySetAccessible()) {
                    fields.add(field);
                }
            }
        }
        return fields;
    }

    /** A copy made without a constructor, so that the class needs none that can be called. */
    private static @Nullable Object copy(Object value, Map<Field, Object> changes) {
        try {
            Object copy = DisturbedCall.bare(value.getClass());
            for (Field field : fields(value.getClass())) {
                Object other = changes.get(field);
                field.set(copy, other == null ? field.get(value) : other);
            }
            return copy;
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A value that cannot be copied has no replacement.
            return null;
        }
    }

    /** A double without any statements, if the type can be doubled. */
    static List<Object> made(Class<?> type) {
        boolean plain = type.isPrimitive()
                || type.isArray()
                || Modifier.isFinal(type.getModifiers())
                || type.isSealed()
                || type.getName().startsWith("java.lang.");
        if (plain) {
            return List.of();
        }
        try {
            return List.of(Zelotype.stub(type, "another " + type.getSimpleName()));
        } catch (RuntimeException e) {
            // A type that cannot be doubled has no replacement.
            return List.of();
        }
    }

    /** A value to replace null or an empty container. */
    static @Nullable Object filling(Type type) {
        Class<?> raw = Alterations.raw(type);
        if (raw == String.class || raw == Object.class || raw == CharSequence.class) {
            return "something";
        } else if (raw == Integer.class || raw == Number.class) {
            return OtherValues.FAR;
        } else if (raw == Long.class) {
            return (long) OtherValues.FAR;
        } else if (raw == Double.class) {
            return (double) OtherValues.FAR;
        } else if (raw == Boolean.class) {
            return true;
        } else if (raw.isEnum()) {
            return raw.getEnumConstants().length == 0 ? null : raw.getEnumConstants()[0];
        } else if (raw.isRecord()) {
            return filledRecord(raw);
        } else if (Throwable.class.isAssignableFrom(raw)) {
            return thrown(raw);
        }
        List<Object> made = made(raw);
        return made.isEmpty() ? null : made.get(0);
    }

    private static @Nullable Object filledRecord(Class<?> type) {
        RecordComponent[] components = type.getRecordComponents();
        Object[] values = new Object[components.length];
        for (int i = 0; i < components.length; i++) {
            Class<?> raw = components[i].getType();
            values[i] = raw.isPrimitive() ? Zero.of(raw) : filling(type(components[i]));
        }
        return made(type, components, values);
    }
}
