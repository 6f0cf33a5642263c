package dev.zelotype.engine.decide;

import dev.zelotype.basics.KotlinCode;
import dev.zelotype.basics.Zero;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.VariableNames;
import java.lang.reflect.Array;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Deque;
import java.util.Enumeration;
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
import java.util.concurrent.BlockingDeque;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.ConcurrentNavigableMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingDeque;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.LinkedTransferQueue;
import java.util.concurrent.TransferQueue;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The default answer of a call: an empty value of the right type. Collections are new and mutable.
 */
final class EmptyValues {

    /** The first words of methods that navigate from one object to another of its type. */
    private static final Set<String> ELSEWHERE = Set.of(
            "get",
            "next",
            "previous",
            "prev",
            "parent",
            "cause",
            "first",
            "last",
            "child",
            "sibling",
            "root",
            "owner",
            "outer",
            "enclosing",
            "find",
            "lookup",
            "load",
            "resolve",
            "peek",
            "poll",
            "pop",
            "head",
            "tail",
            "left",
            "right",
            "up",
            "down",
            "above",
            "below",
            "before",
            "after",
            "ancestor",
            "predecessor",
            "successor",
            "superclass",
            "top",
            "bottom",
            "origin",
            "source",
            "target",
            "delegate",
            "unwrap",
            "copy",
            "clone",
            "create",
            "open",
            "select",
            "inverse",
            "complement",
            "descending",
            "duplicate",
            "fork",
            "new",
            "try",
            "path",
            "slice",
            "split",
            "sub",
            "substring");

    /** The implementations of interfaces; a class is instantiated itself. */
    private static final Map<Class<?>, Class<?>> COMMON = Map.ofEntries(
            Map.entry(Iterable.class, ArrayList.class),
            Map.entry(Collection.class, ArrayList.class),
            Map.entry(List.class, ArrayList.class),
            Map.entry(Set.class, LinkedHashSet.class),
            Map.entry(SortedSet.class, TreeSet.class),
            Map.entry(NavigableSet.class, TreeSet.class),
            Map.entry(Queue.class, ArrayDeque.class),
            Map.entry(Deque.class, ArrayDeque.class),
            Map.entry(BlockingQueue.class, LinkedBlockingQueue.class),
            Map.entry(BlockingDeque.class, LinkedBlockingDeque.class),
            Map.entry(TransferQueue.class, LinkedTransferQueue.class),
            Map.entry(Map.class, LinkedHashMap.class),
            Map.entry(SortedMap.class, TreeMap.class),
            Map.entry(NavigableMap.class, TreeMap.class),
            Map.entry(ConcurrentMap.class, ConcurrentHashMap.class),
            Map.entry(ConcurrentNavigableMap.class, ConcurrentSkipListMap.class));

    private EmptyValues() {}

    static @Nullable Object of(DoubledMethod method, Object self, Class<?> doubledType, CallScene scene) {
        Class<?> type = method.returnType();
        if (type.isPrimitive()) {
            return Zero.of(type);
        }
        Object own = OwnEmptyValues.of(type, scene);
        if (own != null) {
            return own;
        }
        if (type == Object.class && method.suspends()) {
            return ofSuspending((Method) method.executable(), scene);
        }
        boolean ofItsType = type == doubledType || type == method.executable().getDeclaringClass();
        if (ofItsType && type.isInstance(self) && type != Object.class && !leadsElsewhere(method)) {
            return self;
        }
        return of(type, method.genericReturnType(), scene);
    }

    private static @Nullable Object ofSuspending(Method method, CallScene scene) {
        Type given = KotlinCode.given(method);
        Class<?> type = rawType(given);
        if (type == null) {
            return null;
        }
        Object unit = KotlinCode.unit(type);
        Object own = unit != null ? unit : OwnEmptyValues.of(type, scene);
        Class<?> held = KotlinCode.heldBy(type);
        if (own == null && held != null) {
            Object value = held.isPrimitive() ? Zero.of(held) : of(held, held, scene);
            return held.isPrimitive() || KotlinCode.givesBoxed(method) ? KotlinCode.boxed(type, value) : value;
        }
        return own == null ? of(type, given, scene) : own;
    }

    private static @Nullable Class<?> rawType(@Nullable Type type) {
        return type instanceof Class<?> plain
                ? plain
                : type instanceof ParameterizedType nested ? (Class<?>) nested.getRawType() : null;
    }

    /**
     * Whether a method that returns its own type navigates to another object, for example {@code getParent()} or {@code
     * next()}, rather than returning the same one, as a builder's {@code size(3)} does. A loop over such a method would
     * never end if it returned the double again.
     */
    private static boolean leadsElsewhere(DoubledMethod method) {
        String first = VariableNames.firstWord(method.name());
        // A buffer that reads into something returns itself.
        return ELSEWHERE.contains(first) || first.equals("read") && method.parameterTypes().length == 0;
    }

    private static @Nullable Object of(Class<?> type, Type generic, CallScene scene) {
        if (type.isArray()) {
            return Array.newInstance(type.getComponentType(), 0);
        } else if (!type.getName().startsWith("java.")) {
            return null;
        } else if (type == String.class || type == CharSequence.class) {
            return "";
        } else if (type == CompletableFuture.class || type == CompletionStage.class || type == Future.class) {
            return CompletableFuture.completedFuture(ofArgument(generic, scene));
        }
        Object empty = boxed(type);
        empty = empty == null ? optionalOrStream(type) : empty;
        return empty == null ? container(type) : empty;
    }

    /** The value of a completed future. */
    private static @Nullable Object ofArgument(Type generic, CallScene scene) {
        if (!(generic instanceof ParameterizedType parameterized)) {
            return null;
        }
        Type argument = parameterized.getActualTypeArguments()[0];
        Class<?> type = rawType(argument);
        if (type == null) {
            return null;
        }
        Object own = OwnEmptyValues.of(type, scene);
        return own == null ? of(type, argument, scene) : own;
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

    /** A new, empty, mutable collection or map of the JDK. */
    private static @Nullable Object container(Class<?> type) {
        if (!Collection.class.isAssignableFrom(type) && !Map.class.isAssignableFrom(type) && type != Iterable.class) {
            return null;
        }
        Class<?> common = COMMON.get(type);
        Class<?> made = common == null ? type : common;
        if (made.isInterface() || Modifier.isAbstract(made.getModifiers())) {
            // An interface that is not in the list: an implementation of its closest known supertype may fit.
            made = nearest(type);
        }
        try {
            return made == null ? null : made.getConstructor().newInstance();
        } catch (ReflectiveOperationException e) {
            return null;
        }
    }

    private static @Nullable Class<?> nearest(Class<?> type) {
        for (Class<?> each :
                new Class<?>[] {ArrayList.class, LinkedHashSet.class, TreeSet.class, LinkedHashMap.class}) {
            if (type.isAssignableFrom(each)) {
                return each;
            }
        }
        return null;
    }
}
