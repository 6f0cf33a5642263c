package dev.zelotype.challenge.values;

import java.lang.reflect.Array;
import java.lang.reflect.Type;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Other collections, maps and arrays: empty, filled if they were empty, with one element fewer or with another one.
 */
final class OtherCollections {

    private static final List<Function<Collection<?>, Collection<?>>> LISTS =
            List.of(ArrayList::new, LinkedList::new, CopyOnWriteArrayList::new);
    private static final List<Function<Collection<?>, Collection<?>>> SETS = List.of(LinkedHashSet::new, HashSet::new);
    private static final List<Function<Collection<?>, Collection<?>>> QUEUES =
            List.of(ArrayDeque::new, LinkedList::new);

    private OtherCollections() {}

    /** Replacements for a collection, of a required type. */
    static List<Object> of(Collection<?> all, Type type, Class<?> raw, int depth) {
        List<Object> others = new ArrayList<>();
        Type element = Alterations.argument(type, 0);
        if (all.isEmpty()) {
            Object filling = OtherObjects.filling(element);
            Alterations.add(others, filling == null ? null : like(all, raw, List.of(filling)));
            return others;
        }
        Alterations.add(others, like(all, raw, List.of()));
        others.addAll(shortened(all, raw).values());
        List<Object> changed = new ArrayList<>(all);
        for (Object other : Alterations.of(changed.get(0), element, depth + 1)) {
            changed.set(0, other);
            Alterations.add(others, like(all, raw, changed));
            break;
        }
        return others;
    }

    /** A collection without its first and without its last element; nothing for a collection with one element. */
    static Map<String, Object> shortened(Collection<?> all, Class<?> raw) {
        Map<String, Object> others = new LinkedHashMap<>();
        if (all.size() > 1) {
            List<Object> elements = new ArrayList<>(all);
            put(others, "its first element", like(all, raw, elements.subList(1, elements.size())));
            put(others, "its last element", like(all, raw, elements.subList(0, elements.size() - 1)));
        }
        return others;
    }

    private static void put(Map<String, Object> others, String name, @Nullable Object other) {
        if (other != null) {
            others.put(name, other);
        }
    }

    /** A collection of the same kind as another, and of a required type; null if none is known. */
    private static @Nullable Object like(Collection<?> model, Class<?> raw, Collection<?> elements) {
        return Alterations.ifPossible(() -> {
            if (model instanceof SortedSet<?> sorted) {
                return ofType(raw, sortedSet(sorted, elements));
            } else if (model instanceof EnumSet<?> set) {
                return ofType(raw, enumSet(set, elements));
            }
            for (var made : model instanceof List ? LISTS : model instanceof Set ? SETS : QUEUES) {
                Object like = ofType(raw, made.apply(elements));
                if (like != null) {
                    return like;
                }
            }
            return null;
        });
    }

    private static @Nullable Object ofType(Class<?> raw, Object made) {
        return raw.isInstance(made) ? made : null;
    }

    @SuppressWarnings("unchecked")
    private static Object sortedSet(SortedSet<?> model, Collection<?> elements) {
        TreeSet<Object> set = new TreeSet<>(((SortedSet<Object>) model).comparator());
        set.addAll(elements);
        return set;
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static Object enumSet(EnumSet<?> model, Collection<?> elements) {
        EnumSet set = EnumSet.copyOf((EnumSet) model);
        set.clear();
        set.addAll(elements);
        return set;
    }

    /** Replacements for a map, of a required type. */
    static List<Object> of(Map<?, ?> map, Type type, Class<?> raw, int depth) {
        List<Object> others = new ArrayList<>();
        if (map.isEmpty()) {
            Object key = OtherObjects.filling(Alterations.argument(type, 0));
            Object value = OtherObjects.filling(Alterations.argument(type, 1));
            Alterations.add(others, key == null || value == null ? null : like(map, raw, Map.of(key, value)));
            return others;
        }
        Alterations.add(others, like(map, raw, Map.of()));
        Map<Object, Object> changed = new LinkedHashMap<>(map);
        Object first = changed.keySet().iterator().next();
        for (Object other : Alterations.of(changed.get(first), Alterations.argument(type, 1), depth + 1)) {
            changed.put(first, other);
            Alterations.add(others, like(map, raw, changed));
            break;
        }
        changed.remove(first);
        Alterations.add(others, like(map, raw, changed));
        return others;
    }

    private static @Nullable Object like(Map<?, ?> model, Class<?> raw, Map<?, ?> entries) {
        return Alterations.ifPossible(() -> {
            List<Map<?, ?>> all = model instanceof SortedMap<?, ?> sorted
                    ? List.of(sortedMap(sorted, entries))
                    : List.of(new LinkedHashMap<>(entries), new HashMap<>(entries), concurrent(entries));
            return all.stream().filter(raw::isInstance).findFirst().orElse(null);
        });
    }

    private static Map<?, ?> concurrent(Map<?, ?> entries) {
        Map<Object, Object> copy = new ConcurrentHashMap<>();
        entries.forEach((key, value) -> {
            if (key != null && value != null) {
                copy.put(key, value);
            }
        });
        return copy;
    }

    @SuppressWarnings("unchecked")
    private static Map<?, ?> sortedMap(SortedMap<?, ?> model, Map<?, ?> entries) {
        TreeMap<Object, Object> map = new TreeMap<>(((SortedMap<Object, Object>) model).comparator());
        map.putAll(entries);
        return map;
    }

    /** Replacements for an array: with another length, and with another first element. */
    static List<Object> ofArray(Object array, int depth) {
        List<Object> others = new ArrayList<>();
        Class<?> element = array.getClass().getComponentType();
        int length = Array.getLength(array);
        others.add(Array.newInstance(element, length == 0 ? 1 : 0));
        if (length > 0) {
            for (Object other : Alterations.of(Array.get(array, 0), element, depth + 1)) {
                Object changed = Array.newInstance(element, length);
                System.arraycopy(array, 0, changed, 0, length);
                Array.set(changed, 0, other);
                others.add(changed);
                break;
            }
        }
        return others;
    }
}
