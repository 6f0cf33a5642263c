package dev.zelotype.generate;

import dev.zelotype.generate.read.SourceJars;
import dev.zelotype.tools.TypeNames;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;

/**
 * For builds: stores the input and the output of a run in a file. A later run with unchanged input then reads nothing,
 * and a run with few changes reads only the changed source files, those that depend on them, and what these refer to. A
 * source file counts as changed if its size or modification time differs; a class file or a jar, if its content
 * differs.
 *
 * <pre>{@code
 * List<Path> sources = List.of(Path.of("src/main/java"));
 * LastRun last = new LastRun(Path.of("target/zelotype/generate.txt"), List.of("stub"), List.of(), sources);
 * if (!last.isStillRight()) {
 *     Generator generator = new Generator(List.of(), Progress.NONE);
 *     last.addTo(generator, "*");
 *     Generator.Plan plan = generator.plan(Set.of(Style.STUB), "", Path.of("src/test/java"), "./write-doubles");
 *     last.remember(generator, plan, plan.write(false), List.of());
 * }
 * }</pre>
 *
 * <p>Refuses nulls. For one thread.
 *
 * @since 0.2
 */
public final class LastRun {

    private static final String SETTINGS = "settings";
    private static final String SOURCE = "source";
    private static final String OUTPUT = "output";
    private static final String LEFT_OUT = "left out";
    private static final String NOTE = "note";
    private static final String CLASS = ".class";

    /** Another version of the generator may write other doubles. */
    private static final Path OWN_CODE = ownCode();

    private final Path memory;
    private final List<String> settings;
    private final List<Path> places;
    private final Map<Path, String> sources = new TreeMap<>();
    /** The class files of folders, by name. */
    private final Map<Path, String> classes = new TreeMap<>();

    private final Map<Path, String> contents = new HashMap<>();
    private final boolean areClassesDoubled;

    /** Null before the first run, and if the stored data is unusable. */
    private final @Nullable Remembered before;

    /** The stored data of a source file. */
    private record Source(SourceRecord record, String state, int unnamed) {}

    /** The stored data of a double; the type is empty if the double is not written any more. */
    private record Output(String state, String type) {}

    /** The content of the file; a type without a double is identified by the line that reports it. */
    private record Remembered(
            String settings,
            Map<Path, Source> sources,
            Map<Path, Output> outputs,
            Map<String, String> leftOut,
            Map<String, Path> files,
            List<String> notes) {

        static Remembered of(List<String> lines) {
            String settings = "";
            Map<Path, Source> sources = new TreeMap<>();
            Map<Path, Output> outputs = new LinkedHashMap<>();
            Map<String, String> leftOut = new LinkedHashMap<>();
            Map<String, Path> files = new HashMap<>();
            List<String> notes = new ArrayList<>();
            for (String line : lines) {
                List<String> words = List.of(line.split("\t", -1));
                switch (words.get(0) + " " + words.size()) {
                    case SETTINGS + " 2" -> settings = words.get(1);
                    case SOURCE + " 7" -> {
                        Path file = Path.of(words.get(1));
                        Set<String> declared = names(words.get(4));
                        SourceRecord record = new SourceRecord(file, words.get(3), declared, names(words.get(5)));
                        sources.put(file, new Source(record, words.get(2), Integer.parseInt(words.get(6))));
                        declared.forEach(type -> files.put(type, file));
                    }
                    case OUTPUT + " 4" -> outputs.put(Path.of(words.get(1)), new Output(words.get(2), words.get(3)));
                    case LEFT_OUT + " 3" -> leftOut.put(words.get(2), words.get(1));
                    case NOTE + " 2" -> notes.add(words.get(1));
                    default -> throw new IllegalArgumentException(line);
                }
            }
            return new Remembered(settings, sources, outputs, leftOut, files, notes);
        }

        List<SourceRecord> records() {
            return sources.values().stream().map(Source::record).toList();
        }

        private static Set<String> names(String withCommas) {
            return withCommas.isEmpty() ? Set.of() : Set.of(withCommas.split(","));
        }

        /** Whether a type is declared in some source file, but not in these. */
        boolean isOfOtherThan(Set<Path> read, String type) {
            Path file = files.get(type);
            return file != null && !read.contains(file);
        }
    }

    /**
     * Compares the current input with the stored input.
     *
     * @param memory the file to store the data in; it does not exist before the first run
     * @param settings all settings that affect the output, apart from files
     * @param classPath jars, with their source jars, and folders of class files; a missing one is recorded as missing
     * @param places the input types, as {@link Generator#addFrom} takes them
     * @throws GenerateException if a file cannot be read
     */
    public LastRun(Path memory, List<String> settings, List<Path> classPath, List<Path> places) {
        this.memory = memory;
        this.places = List.copyOf(places);
        this.settings = new ArrayList<>(settings);
        this.settings.add(entriesOf(OWN_CODE));
        List<Path> others = new ArrayList<>(classPath);
        for (Path place : places) {
            this.settings.add(place.toString());
            if (!Files.exists(place) || isMadeOfClasses(place)) {
                others.add(place);
            } else {
                TypeSource.sourcesBelow(place).forEach(file -> sources.put(file, stateOf(file)));
            }
        }
        for (Path other : others) {
            this.settings.add(other.toString());
            if (Files.isDirectory(other)) {
                TypeSource.classesBelow(other)
                        .forEach(name -> classes.put(other.resolve(name.replace('.', '/') + CLASS), name));
            } else {
                this.settings.add(entriesOf(other));
                SourceJars.beside(other).ifPresent(jar -> this.settings.add(entriesOf(jar)));
            }
        }
        this.areClassesDoubled = others.size() > classPath.size();
        this.before = read();
    }

    /** A jar, also one of sources, counts as changed as a whole. */
    private static boolean isMadeOfClasses(Path place) {
        return place.toString().endsWith(".jar") || TypeSource.holdsClasses(place);
    }

    /** The input without sources and without what is compiled from them, which changes with them. */
    private String digest(Collection<SourceRecord> records) {
        Set<String> declared = new TreeSet<>();
        records.forEach(each -> declared.addAll(each.declared()));
        List<String> facts = new ArrayList<>(settings);
        classes.forEach((file, name) -> {
            if (!declared.contains(name) && !TypeSource.isNestedIn(declared, name)) {
                facts.add(file + " " + contentOf(file));
            }
        });
        return digest(String.join("\n", facts).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Tells whether the last run had the same input and its output is unchanged.
     *
     * @return true if another run would change nothing
     */
    public boolean isStillRight() {
        return before != null
                && isGivenTheSame(before)
                && sources.keySet().equals(before.sources().keySet())
                && changedSince(before).isEmpty()
                && before.outputs().entrySet().stream()
                        .allMatch(output -> isAsItWas(output.getKey(), output.getValue()));
    }

    private boolean isGivenTheSame(Remembered then) {
        return then.settings().equals(digest(then.records()));
    }

    private Set<Path> changedSince(Remembered then) {
        Set<Path> changed = new TreeSet<>();
        then.sources().forEach((file, source) -> {
            if (!source.state().equals(sources.get(file))) {
                changed.add(file);
            }
        });
        return changed;
    }

    private static boolean isAsItWas(Path file, Output then) {
        return stateOf(file).equals(then.state());
    }

    /**
     * Adds the types to write doubles for: all of them, or, if only some source files have changed, those that may be
     * affected.
     *
     * @param generator the generator, which must be empty
     * @param only which of the types, as {@link Generator#addFrom} takes it
     * @return the number of source files that were searched for types; all of them if classes are read, too
     * @throws GenerateException if a place is missing or cannot be read, or the declarations in the sources do not
     *     compile
     */
    public int addTo(Generator generator, String only) {
        generator.types().keepRecords();
        Remembered then = before;
        if (then == null
                || areClassesDoubled
                || !isGivenTheSame(then)
                || !sources.keySet().equals(then.sources().keySet())) {
            return addAll(generator, only);
        }
        Set<Path> changed = changedSince(then);
        then.outputs().forEach((file, output) -> {
            Path source = then.files().get(output.type());
            if (source != null && !isAsItWas(file, output)) {
                changed.add(source);
            }
        });
        Predicate<String> wanted = TypeNames.wanted(only).asMatchPredicate();
        Set<Path> read = generator.types().readChanged(then.records(), changed, wanted);
        if (read == null) {
            return addAll(generator, only);
        }
        takeOver(generator, then, read);
        return read.size();
    }

    private int addAll(Generator generator, String only) {
        generator.addFrom(places, only);
        return sources.size();
    }

    private static void takeOver(Generator generator, Remembered then, Set<Path> read) {
        then.sources().forEach((file, source) -> {
            if (!read.contains(file)) {
                generator.types().takeOver(file, source.unnamed());
            }
        });
        then.leftOut().forEach((line, type) -> {
            if (then.isOfOtherThan(read, type)) {
                generator.types().leaveOut(type, line.substring(type.length() + 1));
            }
        });
        then.outputs().forEach((file, output) -> {
            if (then.isOfOtherThan(read, output.type())) {
                generator.leaveStanding(file);
            }
        });
    }

    /**
     * Stores this run in place of the last one.
     *
     * @param generator the generator that {@link #addTo} has added types to
     * @param plan its plan
     * @param outcomes the results
     * @param notes the messages of the run, one line each
     * @throws GenerateException if it cannot be written
     */
    public void remember(Generator generator, Generator.Plan plan, List<GeneratedFile> outcomes, List<String> notes) {
        TypeSource types = generator.types();
        List<String> lines = new ArrayList<>();
        // Files unpacked from a jar are covered by the jar.
        List<SourceRecord> records = types.records().stream()
                .filter(each -> sources.containsKey(each.file()))
                .toList();
        lines.add(line(SETTINGS, digest(records)));
        for (SourceRecord each : records) {
            lines.add(line(
                    SOURCE,
                    each.file().toString(),
                    sources.get(each.file()),
                    each.packageName(),
                    String.join(",", each.declared()),
                    String.join(",", each.mentioned()),
                    String.valueOf(types.unnamedOf(each.file()))));
        }
        Map<Path, String> doubled = new LinkedHashMap<>();
        outcomes.forEach(outcome -> doubled.put(outcome.file(), plan.doubledIn(outcome.file())));
        generator
                .standing()
                .forEach(file -> doubled.put(
                        file, before == null ? "" : before.outputs().get(file).type()));
        doubled.forEach((file, type) -> lines.add(line(OUTPUT, file.toString(), stateOf(file), type)));
        types.leftOut().forEach((line, type) -> lines.add(line(LEFT_OUT, type, line)));
        notes.forEach(note -> lines.add(line(NOTE, note)));
        try {
            WholeFiles.write(memory, String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new GenerateException("Cannot write " + memory + ": " + WholeFiles.reason(e) + ".");
        }
    }

    private static String line(String... words) {
        return String.join("\t", words).replace('\n', ' ');
    }

    /**
     * Returns the files that the last run wrote or found up to date.
     *
     * @return in stored order; empty before the first run
     */
    public List<Path> outputs() {
        return before == null ? List.of() : List.copyOf(before.outputs().keySet());
    }

    /**
     * Returns the messages of the last run, to be repeated if there is nothing to do.
     *
     * @return one line each; empty before the first run
     */
    public List<String> notes() {
        return before == null ? List.of() : List.copyOf(before.notes());
    }

    private static Path ownCode() {
        try {
            return Path.of(LastRun.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private @Nullable Remembered read() {
        try {
            return Files.isRegularFile(memory) ? Remembered.of(Files.readAllLines(memory)) : null;
        } catch (IOException | IllegalArgumentException e) {
            // Whatever the reason: running again is always correct.
            return null;
        }
    }

    private static String stateOf(Path file) {
        if (!Files.exists(file)) {
            return "missing";
        }
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return attributes.size() + " " + attributes.lastModifiedTime();
        } catch (IOException e) {
            throw new GenerateException("Cannot read " + file + ": " + WholeFiles.reason(e) + ".");
        }
    }

    /** The content of a jar, regardless of timestamps: builds of several modules write their jars again each time. */
    private static String entriesOf(Path jar) {
        if (!Files.isRegularFile(jar)) {
            return stateOf(jar);
        }
        try (ZipFile zip = new ZipFile(jar.toFile())) {
            return zip.stream()
                    .filter(entry ->
                            entry.getName().endsWith(CLASS) || entry.getName().endsWith(".java"))
                    .map(entry -> entry.getName() + " " + entry.getSize() + " " + entry.getCrc())
                    .collect(Collectors.joining("\n"));
        } catch (IOException e) {
            // Not a jar: whoever reads it will report that.
            return stateOf(jar);
        }
    }

    private String contentOf(Path file) {
        return contents.computeIfAbsent(file, key -> {
            try {
                return digest(Files.readAllBytes(key));
            } catch (IOException e) {
                throw new GenerateException("Cannot read " + key + ": " + WholeFiles.reason(e) + ".");
            }
        });
    }

    private static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every JDK knows SHA-256.", e);
        }
    }
}
