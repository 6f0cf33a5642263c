package dev.zelotype.generate;

import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;

/**
 * The doubles of types of other languages. No Java class can implement some of these types, so their doubles are compiled
 * before any is written.
 */
final class ForeignDoubles {

    /** The sources of more files together would need a lot of memory. */
    private static final int AT_ONCE = 500;

    private final TypeSource types;
    /** The doubled type of each file. */
    private final Map<Path, String> doubled;

    ForeignDoubles(TypeSource types, Map<Path, String> doubled) {
        this.types = types;
        this.doubled = doubled;
    }

    /** Removes what the compiler refuses, and leaves its types out. */
    void removeRefused(Map<Path, Supplier<String>> sources) {
        List<Path> foreign = sources.keySet().stream()
                .filter(file -> types.isForeign(doubled.get(file)))
                .toList();
        for (int from = 0; from < foreign.size(); from += AT_ONCE) {
            Map<Path, String> errors = errors(foreign.subList(from, Math.min(from + AT_ONCE, foreign.size())), sources);
            Map<String, List<Path>> files = new TreeMap<>();
            errors.keySet()
                    .forEach(file -> files.computeIfAbsent(doubled.get(file), first -> new ArrayList<>())
                            .add(file));
            files.forEach((type, all) -> types.leaveOut(
                    type,
                    "gets no "
                            + String.join(
                                    ", no ",
                                    all.stream().map(ForeignDoubles::nameOf).toList())
                            + ": it was not written in Java, whose compiler says: "
                            + errors.get(all.get(0))));
            sources.keySet().removeAll(errors.keySet());
        }
    }

    private static String nameOf(Path file) {
        return file.getFileName().toString().replaceAll("\\.java$", "");
    }

    /** The first error in each file. Some errors hide others, so the rest is compiled again until there are none. */
    private Map<Path, String> errors(List<Path> files, Map<Path, Supplier<String>> sources) {
        Map<Path, String> errors = new LinkedHashMap<>();
        Map<JavaFileObject, Path> units = new LinkedHashMap<>();
        files.forEach(file -> units.put(new Source(file, sources.get(file).get()), file));
        while (!units.isEmpty()) {
            Map<Path, String> more = errorsIn(units);
            if (more.isEmpty()) {
                return errors;
            }
            errors.putAll(more);
            units.values().removeAll(more.keySet());
        }
        return errors;
    }

    /** The compiler breaks down on some types of other languages. Which ones shows in smaller parts. */
    private Map<Path, String> errorsIn(Map<JavaFileObject, Path> units) {
        try {
            return types.errorsIn(units);
        } catch (IllegalStateException e) {
            if (units.size() == 1) {
                return Map.of(units.values().iterator().next(), "the compiler itself fails with " + e.getCause());
            }
            Map<JavaFileObject, Path> some = new LinkedHashMap<>();
            Map<JavaFileObject, Path> others = new LinkedHashMap<>();
            units.forEach((unit, file) -> (some.size() < units.size() / 2 ? some : others).put(unit, file));
            Map<Path, String> errors = new LinkedHashMap<>(errorsIn(some));
            errors.putAll(errorsIn(others));
            return errors;
        }
    }

    private static final class Source extends SimpleJavaFileObject {

        private final String text;

        Source(Path file, String text) {
            super(URI.create("double:///" + file.toString().replace('\\', '/')), Kind.SOURCE);
            this.text = text;
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return text;
        }
    }
}
