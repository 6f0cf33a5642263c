package dev.zelotype.generate;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Which source files refer to which. References are simple names, so there may be too many, but never too few: whenever
 * a declaration depends on another file, each step on the way is such a reference.
 */
final class SourceGraph {

    private final Map<Path, SourceRecord> files = new LinkedHashMap<>();
    private final Map<String, List<SourceRecord>> declaring = new HashMap<>();
    private final Map<String, List<SourceRecord>> mentioning = new HashMap<>();
    private final Map<String, SourceRecord> importedWhole = new HashMap<>();

    SourceGraph(Collection<SourceRecord> records) {
        for (SourceRecord each : records) {
            files.put(each.file(), each);
            each.simpleNames().forEach(name -> add(declaring, name, each));
            each.mentioned().forEach(name -> add(mentioning, name, each));
            // A single type of a package shows that the package exists.
            each.importedAs().forEach(name -> importedWhole.putIfAbsent(name, each));
        }
    }

    private static void add(Map<String, List<SourceRecord>> records, String name, SourceRecord record) {
        records.computeIfAbsent(name, key -> new ArrayList<>()).add(record);
    }

    /** The files, and all files whose declarations may change their meaning with them. */
    Set<Path> dependingOn(Collection<Path> changed) {
        return reached(changed, file -> found(file.simpleNames(), mentioning));
    }

    /** The files, and all files that the compiler needs to understand their declarations. */
    Set<Path> neededBy(Collection<Path> read) {
        return reached(read, file -> {
            List<SourceRecord> needed = found(file.mentioned(), declaring);
            file.mentioned().stream()
                    .filter(importedWhole::containsKey)
                    .map(importedWhole::get)
                    .forEach(needed::add);
            return needed;
        });
    }

    private static List<SourceRecord> found(Set<String> names, Map<String, List<SourceRecord>> records) {
        List<SourceRecord> found = new ArrayList<>();
        names.forEach(name -> found.addAll(records.getOrDefault(name, List.of())));
        return found;
    }

    private Set<Path> reached(Collection<Path> from, Function<SourceRecord, List<SourceRecord>> next) {
        Set<Path> reached = new LinkedHashSet<>();
        Deque<SourceRecord> open = new ArrayDeque<>();
        from.forEach(file -> open.add(files.get(file)));
        while (!open.isEmpty()) {
            SourceRecord file = open.pop();
            if (reached.add(file.file())) {
                open.addAll(next.apply(file));
            }
        }
        return reached;
    }
}
