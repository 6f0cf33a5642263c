package dev.zelotype.challenge;

import dev.zelotype.Zelotype;
import dev.zelotype.basics.Zero;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;

/**
 * Other values than a given one, of the same type: wholly different, so that whoever looks at the value sees it.
 */
final class Alterations {

    private static final int FAR = 1_000;
    private static final int DEEPEST = 3;

    private Alterations() {}

    /** What could have been there instead; empty for nothing. */
    static List<Object> of(@Nullable Object value, Type type) {
        return of(value, type, 0);
    }

    private static List<Object> of(@Nullable Object value, Type type, int depth) {
        List<Object> others = new ArrayList<>();
        Class<?> raw = raw(type);
        if (raw == void.class || depth > DEEPEST) {
            return others;
        }
        if (value == null) {
            add(others, made(raw));
        } else if (value instanceof Boolean flag) {
            others.add(!flag);
        } else if (value instanceof Number number) {
            numbers(others, number);
        } else if (value instanceof Character c) {
            others.add(c == 'x' ? 'y' : 'x');
        } else if (value instanceof String text) {
            others.add("other than " + text);
        } else if (value instanceof Optional<?> optional) {
            optionals(others, optional, type, depth);
        } else if (value instanceof Collection<?> all) {
            collections(others, all, type, depth);
        } else if (value instanceof Map<?, ?> map && !map.isEmpty() && raw.isAssignableFrom(Map.class)) {
            others.add(Map.of());
        } else if (value.getClass().isArray()) {
            arrays(others, value);
        } else if (value instanceof Duration duration) {
            others.add(duration.plusHours(1));
            others.add(Duration.ZERO);
        } else if (value instanceof Temporal time) {
            times(others, time);
        } else if (value instanceof CompletableFuture<?>) {
            others.add(CompletableFuture.failedFuture(new IllegalStateException("disturbed")));
        } else if (value instanceof Enum<?> constant) {
            enums(others, constant);
        } else if (value instanceof Record record) {
            add(others, altered(record, depth));
        } else {
            add(others, made(raw));
        }
        return others;
    }

    private static void add(List<Object> others, @Nullable Object other) {
        if (other != null) {
            others.add(other);
        }
    }

    private static Class<?> raw(Type type) {
        return type instanceof Class<?> plain
                ? plain
                : type instanceof ParameterizedType generic ? (Class<?>) generic.getRawType() : Object.class;
    }

    private static Type argument(Type type, int number) {
        return type instanceof ParameterizedType generic ? generic.getActualTypeArguments()[number] : Object.class;
    }

    private static void numbers(List<Object> others, Number number) {
        if (number instanceof Integer n) {
            others.add(n + FAR);
            others.add(n == 0 ? -1 : -n);
        } else if (number instanceof Long n) {
            others.add(n + FAR);
            others.add(n == 0 ? -1L : -n);
        } else if (number instanceof Double n) {
            others.add(n + FAR);
            others.add(n == 0 ? -1.0 : -n);
        } else if (number instanceof Float n) {
            others.add(n + FAR);
        } else if (number instanceof Short n) {
            others.add((short) (n + FAR));
        } else if (number instanceof Byte n) {
            others.add((byte) (n ^ 0x55));
        } else if (number instanceof java.math.BigDecimal n) {
            others.add(n.add(java.math.BigDecimal.valueOf(FAR)));
        } else if (number instanceof java.math.BigInteger n) {
            others.add(n.add(java.math.BigInteger.valueOf(FAR)));
        }
    }

    private static void optionals(List<Object> others, Optional<?> optional, Type type, int depth) {
        if (optional.isPresent()) {
            others.add(Optional.empty());
            for (Object other : of(optional.get(), argument(type, 0), depth + 1)) {
                others.add(Optional.of(other));
                return;
            }
        } else {
            Object filling = filling(argument(type, 0));
            if (filling != null) {
                others.add(Optional.of(filling));
            }
        }
    }

    private static void collections(List<Object> others, Collection<?> all, Type type, int depth) {
        boolean list = all instanceof List && raw(type).isAssignableFrom(List.class);
        boolean set = all instanceof Set && raw(type).isAssignableFrom(Set.class);
        if (!list && !set) {
            return;
        }
        if (!all.isEmpty()) {
            others.add(list ? new ArrayList<>() : new java.util.LinkedHashSet<>());
            return;
        }
        Object filling = filling(argument(type, 0));
        if (filling != null) {
            others.add(list ? new ArrayList<>(List.of(filling)) : new java.util.LinkedHashSet<>(Set.of(filling)));
        }
    }

    private static void arrays(List<Object> others, Object array) {
        Class<?> element = array.getClass().getComponentType();
        int length = Array.getLength(array);
        others.add(Array.newInstance(element, length == 0 ? 1 : 0));
    }

    private static void times(List<Object> others, Temporal time) {
        for (long far : new long[] {FAR, -FAR}) {
            for (ChronoUnit unit : new ChronoUnit[] {ChronoUnit.DAYS, ChronoUnit.SECONDS, ChronoUnit.YEARS}) {
                if (time.isSupported(unit)) {
                    others.add(time.plus(far, unit));
                    break;
                }
            }
        }
    }

    private static void enums(List<Object> others, Enum<?> constant) {
        for (Object each : constant.getDeclaringClass().getEnumConstants()) {
            if (each != constant) {
                others.add(each);
                return;
            }
        }
    }

    private static @Nullable Object altered(Record record, int depth) {
        try {
            RecordComponent[] parts = record.getClass().getRecordComponents();
            Class<?>[] types = new Class<?>[parts.length];
            Object[] values = new Object[parts.length];
            boolean changed = false;
            for (int i = 0; i < parts.length; i++) {
                types[i] = parts[i].getType();
                parts[i].getAccessor().setAccessible(true);
                values[i] = parts[i].getAccessor().invoke(record);
                List<Object> others = of(values[i], parts[i].getGenericType(), depth + 1);
                if (!others.isEmpty()) {
                    values[i] = others.get(0);
                    changed = true;
                }
            }
            Constructor<?> constructor = record.getClass().getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return changed ? constructor.newInstance(values) : null;
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A record that refuses other values has no other.
            return null;
        }
    }

    /** Something to put where nothing was. */
    private static @Nullable Object filling(Type type) {
        Class<?> raw = raw(type);
        if (raw == String.class || raw == Object.class) {
            return "something";
        } else if (raw == Integer.class) {
            return FAR;
        } else if (raw == Long.class) {
            return (long) FAR;
        } else if (raw == Boolean.class) {
            return true;
        } else if (raw.isEnum()) {
            return raw.getEnumConstants().length == 0 ? null : raw.getEnumConstants()[0];
        } else if (raw.isRecord()) {
            return filledRecord(raw);
        }
        return made(raw);
    }

    private static @Nullable Object filledRecord(Class<?> type) {
        try {
            RecordComponent[] parts = type.getRecordComponents();
            Class<?>[] types = new Class<?>[parts.length];
            Object[] values = new Object[parts.length];
            for (int i = 0; i < parts.length; i++) {
                types[i] = parts[i].getType();
                values[i] = types[i].isPrimitive() ? Zero.of(types[i]) : filling(parts[i].getGenericType());
            }
            Constructor<?> constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return constructor.newInstance(values);
        } catch (ReflectiveOperationException | RuntimeException e) {
            // A record that refuses such values cannot be made up.
            return null;
        }
    }

    /** A double that nobody has said anything of, where the type allows one. */
    private static @Nullable Object made(Class<?> type) {
        boolean plain = type.isPrimitive()
                || type.isArray()
                || Modifier.isFinal(type.getModifiers())
                || type.getName().startsWith("java.lang.");
        if (plain) {
            return null;
        }
        try {
            return Zelotype.stub(type, "another " + type.getSimpleName());
        } catch (RuntimeException e) {
            // A type that cannot be doubled has no other value that could be made up.
            return null;
        }
    }
}
