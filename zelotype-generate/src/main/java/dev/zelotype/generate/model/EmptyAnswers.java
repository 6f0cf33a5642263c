package dev.zelotype.generate.model;

import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.Spliterators;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The default answer of a written double: an empty value of the right type, or else {@code null}.
 */
final class EmptyAnswers {

    /** Types with a new value for each call, because callers may change it. */
    private static final Map<String, Class<?>> NEW = Map.ofEntries(
            Map.entry("java.lang.Iterable", ArrayList.class),
            Map.entry("java.util.Collection", ArrayList.class),
            Map.entry("java.util.List", ArrayList.class),
            Map.entry("java.util.ArrayList", ArrayList.class),
            Map.entry("java.util.Set", LinkedHashSet.class),
            Map.entry("java.util.LinkedHashSet", LinkedHashSet.class),
            Map.entry("java.util.HashSet", HashSet.class),
            Map.entry("java.util.SortedSet", TreeSet.class),
            Map.entry("java.util.NavigableSet", TreeSet.class),
            Map.entry("java.util.TreeSet", TreeSet.class),
            Map.entry("java.util.Queue", ArrayDeque.class),
            Map.entry("java.util.Deque", ArrayDeque.class),
            Map.entry("java.util.ArrayDeque", ArrayDeque.class),
            Map.entry("java.util.Map", LinkedHashMap.class),
            Map.entry("java.util.LinkedHashMap", LinkedHashMap.class),
            Map.entry("java.util.HashMap", HashMap.class),
            Map.entry("java.util.SortedMap", TreeMap.class),
            Map.entry("java.util.NavigableMap", TreeMap.class),
            Map.entry("java.util.TreeMap", TreeMap.class),
            Map.entry("java.util.concurrent.ConcurrentMap", ConcurrentHashMap.class),
            Map.entry("java.util.concurrent.ConcurrentHashMap", ConcurrentHashMap.class));

    private static final Set<String> WITH_EMPTY = Set.of(
            "java.util.Optional",
            "java.util.OptionalInt",
            "java.util.OptionalLong",
            "java.util.OptionalDouble",
            "java.util.stream.Stream",
            "java.util.stream.IntStream",
            "java.util.stream.LongStream",
            "java.util.stream.DoubleStream");

    private static final Map<String, String> OF_COLLECTIONS = Map.of(
            "java.util.Iterator", "emptyIterator",
            "java.util.ListIterator", "emptyListIterator",
            "java.util.Enumeration", "emptyEnumeration");

    private static final Set<String> FUTURES = Set.of(
            "java.util.concurrent.CompletableFuture",
            "java.util.concurrent.CompletionStage",
            "java.util.concurrent.Future");

    /** Zeros that the compiler boxes to the right type. */
    private static final Map<String, String> BOXED = Map.of(
            "java.lang.Boolean", "false",
            "java.lang.Character", "'\\0'",
            "java.lang.Byte", "(byte) 0",
            "java.lang.Short", "(short) 0",
            "java.lang.Integer", "0",
            "java.lang.Long", "0L",
            "java.lang.Float", "0f",
            "java.lang.Double", "0.0");

    private EmptyAnswers() {}

    static String of(TypeName type) {
        if (type instanceof PrimitiveName primitive) {
            return primitive.keyword().equals("boolean")
                    ? "false"
                    : primitive.keyword().equals("char") ? "'\\0'" : "0";
        } else if (type instanceof ArrayName array) {
            return arrayOf(array);
        }
        TypeName raw = type instanceof GenericName parameterized ? parameterized.raw() : type;
        String name = raw instanceof ClassName known ? known.canonicalName() : "";
        if (name.equals("java.lang.String") || name.equals("java.lang.CharSequence")) {
            return "\"\"";
        } else if (WITH_EMPTY.contains(name)) {
            return Code.type(raw) + ".empty()";
        } else if (OF_COLLECTIONS.containsKey(name)) {
            return Code.of("$T.$L()", Collections.class, OF_COLLECTIONS.get(name));
        } else if (name.equals("java.util.Spliterator")) {
            return Code.of("$T.emptySpliterator()", Spliterators.class);
        } else if (FUTURES.contains(name)) {
            return Code.of("$T.completedFuture($L)", CompletableFuture.class, ofArgument(type));
        } else if (NEW.containsKey(name)) {
            return Code.of(raw == type ? "new $T()" : "new $T<>()", NEW.get(name));
        }
        return BOXED.getOrDefault(name, "null");
    }

    /** The value of a completed future. */
    private static String ofArgument(TypeName type) {
        TypeName argument = type instanceof GenericName parameterized
                ? parameterized.arguments().get(0)
                : null;
        boolean plain = argument instanceof ClassName || argument instanceof GenericName;
        return plain ? of(argument) : "null";
    }

    private static String arrayOf(ArrayName array) {
        TypeName element = array.component();
        int dimensions = 1;
        while (element instanceof ArrayName inner) {
            element = inner.component();
            dimensions++;
        }
        if (element instanceof GenericName || element instanceof VariableName) {
            return "null";
        }
        return Code.of("new $T[0]$L", element, "[]".repeat(dimensions - 1));
    }
}
