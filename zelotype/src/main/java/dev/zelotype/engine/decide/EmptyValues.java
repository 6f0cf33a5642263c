package dev.zelotype.engine.decide;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.Zero;
import java.lang.reflect.Array;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Deque;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.ListIterator;
import java.util.Map;
import java.util.NavigableMap;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Queue;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.Spliterator;
import java.util.Spliterators;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.Future;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a call answers that nobody configured: something empty of the right type. Collections are new and can be changed.
 */
final class EmptyValues {

    private EmptyValues() {}

    static @Nullable Object of(DoubledMethod method, Object self, Class<?> doubledType) {
        Class<?> type = method.returnType();
        if (type.isPrimitive()) {
            return Zero.of(type);
        }
        boolean fluent = type == doubledType || type == method.executable().getDeclaringClass();
        if (fluent && type.isInstance(self) && type != Object.class) {
            return self;
        }
        return of(type, method.genericReturnType());
    }

    private static @Nullable Object of(Class<?> type, Type generic) {
        if (type.isArray()) {
            return Array.newInstance(type.getComponentType(), 0);
        } else if (!type.getName().startsWith("java.")) {
            return null;
        } else if (type == String.class || type == CharSequence.class) {
            return "";
        } else if (type == CompletableFuture.class || type == CompletionStage.class || type == Future.class) {
            return CompletableFuture.completedFuture(ofArgument(generic));
        }
        Object empty = boxed(type);
        empty = empty == null ? optionalOrStream(type) : empty;
        empty = empty == null ? collection(type) : empty;
        return empty == null ? map(type) : empty;
    }

    /** What the future of a type is completed with. */
    private static @Nullable Object ofArgument(Type generic) {
        if (!(generic instanceof ParameterizedType parameterized)) {
            return null;
        }
        Type argument = parameterized.getActualTypeArguments()[0];
        if (argument instanceof Class<?> type) {
            return of(type, type);
        }
        return argument instanceof ParameterizedType nested ? of((Class<?>) nested.getRawType(), nested) : null;
    }

    private static @Nullable Object boxed(Class<?> type) {
        if (type == Integer.class) {
            return 0;
        } else if (type == Long.class) {
            return 0L;
        } else if (type == Boolean.class) {
            return false;
        } else if (type == Double.class) {
            return 0.0;
        } else if (type == Float.class) {
            return 0f;
        } else if (type == Short.class) {
            return (short) 0;
        } else if (type == Byte.class) {
            return (byte) 0;
        }
        return type == Character.class ? (Object) '\0' : null;
    }

    private static @Nullable Object optionalOrStream(Class<?> type) {
        if (type == Optional.class) {
            return Optional.empty();
        } else if (type == OptionalInt.class) {
            return OptionalInt.empty();
        } else if (type == OptionalLong.class) {
            return OptionalLong.empty();
        } else if (type == OptionalDouble.class) {
            return OptionalDouble.empty();
        } else if (type == Stream.class) {
            return Stream.empty();
        } else if (type == IntStream.class) {
            return IntStream.empty();
        } else if (type == LongStream.class) {
            return LongStream.empty();
        } else if (type == DoubleStream.class) {
            return DoubleStream.empty();
        } else if (type == Iterator.class || type == ListIterator.class) {
            return Collections.emptyListIterator();
        } else if (type == Enumeration.class) {
            return Collections.emptyEnumeration();
        }
        return type == Spliterator.class ? Spliterators.emptySpliterator() : null;
    }

    private static @Nullable Object collection(Class<?> type) {
        if (type == List.class || type == Collection.class || type == Iterable.class || type == ArrayList.class) {
            return new ArrayList<>();
        } else if (type == Set.class || type == LinkedHashSet.class) {
            return new LinkedHashSet<>();
        } else if (type == HashSet.class) {
            return new HashSet<>();
        } else if (type == SortedSet.class || type == NavigableSet.class || type == TreeSet.class) {
            return new TreeSet<>();
        }
        return type == Queue.class || type == Deque.class || type == ArrayDeque.class ? new ArrayDeque<>() : null;
    }

    private static @Nullable Object map(Class<?> type) {
        if (type == Map.class || type == LinkedHashMap.class) {
            return new LinkedHashMap<>();
        } else if (type == HashMap.class) {
            return new HashMap<>();
        } else if (type == SortedMap.class || type == NavigableMap.class || type == TreeMap.class) {
            return new TreeMap<>();
        }
        return type == ConcurrentMap.class || type == ConcurrentHashMap.class ? new ConcurrentHashMap<>() : null;
    }
}
