package dev.zelotype.challenge.values;

import dev.zelotype.basics.Reflected;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.lang.reflect.WildcardType;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Other values of the same type as a given one. The first is completely different, so that any check of the value
 * notices it; others differ in one part. None equals the value.
 */
public final class Alterations {

    private static final int DEEPEST = 3;
    private static final int MANY = 8;

    private Alterations() {}

    /** Possible replacements; empty if there are none. */
    public static List<Object> of(@Nullable Object value, Type type) {
        return of(value, type, 0);
    }

    public static List<Object> of(@Nullable Object value, Type type, int depth) {
        Class<?> raw = raw(type);
        List<Object> others = new ArrayList<>();
        if (raw == void.class || depth > DEEPEST) {
            return others;
        }
        for (Object other : Reflected.orElse(() -> candidates(value, type, raw, depth), List.of())) {
            if (others.size() < MANY && fits(raw, other) && !isSame(value, other)) {
                others.add(other);
            }
        }
        return others;
    }

    /**
     * The value with one part changed at a time.
     *
     * @return by the changed part, for example {@code name}; empty if the value has no parts
     */
    public static Map<String, Object> parts(@Nullable Object value, Type type) {
        Map<String, Object> parts = value instanceof Record record
                ? Reflected.orElse(() -> OtherObjects.parts(record, 0), Map.of())
                : value instanceof Collection<?> all && raw(type) != Object.class
                        ? OtherCollections.shortened(all, raw(type))
                        : Map.of();
        Map<String, Object> others = new LinkedHashMap<>();
        parts.forEach((name, other) -> {
            if (fits(raw(type), other) && !isSame(value, other)) {
                others.put(name, other);
            }
        });
        return others.size() < 2 ? Map.of() : others;
    }

    private static List<Object> candidates(@Nullable Object value, Type type, Class<?> raw, int depth) {
        if (value == null) {
            Object filling = raw == Object.class ? null : OtherObjects.filling(type);
            return filling == null ? List.of() : List.of(filling);
        } else if (value instanceof Number || value instanceof Boolean || value instanceof Character) {
            return OtherValues.ofPrimitive(value);
        } else if (value instanceof Optional<?> optional) {
            return optionals(optional, type, depth);
        } else if (value instanceof Collection<?> all) {
            return OtherCollections.of(all, type, raw, depth);
        } else if (value instanceof Map<?, ?> map) {
            return OtherCollections.of(map, type, raw, depth);
        } else if (value.getClass().isArray()) {
            return OtherCollections.ofArray(value, depth);
        } else if (value instanceof CompletableFuture<?> future) {
            return futures(future, type, depth);
        } else if (value instanceof Record record) {
            return OtherObjects.ofRecord(record, depth);
        }
        List<Object> known = OtherValues.of(value);
        return known.isEmpty() ? OtherObjects.of(value, raw, depth) : known;
    }

    static Class<?> raw(Type type) {
        if (type instanceof Class<?> plain) {
            return plain;
        } else if (type instanceof ParameterizedType generic) {
            return (Class<?>) generic.getRawType();
        } else if (type instanceof TypeVariable<?> variable) {
            return raw(variable.getBounds()[0]);
        }
        return type instanceof WildcardType wildcard ? raw(wildcard.getUpperBounds()[0]) : Object.class;
    }

    /** What is known about an argument of a type. */
    static Type argument(Type type, int number) {
        Type[] all = type instanceof ParameterizedType generic ? generic.getActualTypeArguments() : new Type[0];
        return number < all.length ? all[number] : Object.class;
    }

    private static boolean fits(Class<?> raw, Object other) {
        return raw.isPrimitive() || raw.isInstance(other);
    }

    private static boolean isSame(@Nullable Object value, Object other) {
        try {
            return Objects.deepEquals(value, other);
        } catch (RuntimeException e) {
            // A value that cannot be compared counts as different.
            return false;
        }
    }

    /** The result of a piece of code, unless it throws. */
    static <T> @Nullable T ifPossible(Supplier<T> code) {
        try {
            return code.get();
        } catch (RuntimeException e) {
            // Out of the type's range, or refused by the type: then this other value does not exist.
            return null;
        }
    }

    static void add(List<Object> others, @Nullable Object other) {
        if (other != null) {
            others.add(other);
        }
    }

    private static List<Object> optionals(Optional<?> optional, Type type, int depth) {
        List<Object> others = new ArrayList<>();
        if (optional.isPresent()) {
            others.add(Optional.empty());
            for (Object other : of(optional.get(), argument(type, 0), depth + 1)) {
                others.add(Optional.of(other));
            }
        } else {
            Object filling = OtherObjects.filling(argument(type, 0));
            add(others, filling == null ? null : Optional.of(filling));
        }
        return others;
    }

    private static List<Object> futures(CompletableFuture<?> future, Type type, int depth) {
        List<Object> others = new ArrayList<>();
        others.add(CompletableFuture.failedFuture(new IllegalStateException("disturbed")));
        if (future.isDone() && !future.isCompletedExceptionally()) {
            for (Object other : of(future.join(), argument(type, 0), depth + 1)) {
                others.add(CompletableFuture.completedFuture(other));
            }
        }
        return others;
    }
}
