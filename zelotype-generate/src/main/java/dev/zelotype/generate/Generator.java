package dev.zelotype.generate;

import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.tools.TypeNames;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * For builds and tools: writes doubles as source.
 *
 * <pre>{@code
 * Generator generator = new Generator(List.of(), Progress.NONE);
 * generator.addFrom(List.of(Path.of("src/main/java")), "dev.observatory.*");
 * generator.plan(Set.of(Style.STUB), "dev.observatory.doubles", Path.of("src/test/java"), "./write-doubles")
 *         .write(false);
 * }</pre>
 *
 * @since 0.2
 */
public final class Generator {

    private final TypeSource types;
    private final Progress progress;
    /** The doubles of an earlier run that remain unchanged. */
    private final Set<Path> standing = new HashSet<>();

    private boolean marking;

    /**
     * Prepares a generator.
     *
     * @param classPath the class path of the types: jars and folders of class files
     * @param progress is told about the progress
     */
    public Generator(List<Path> classPath, Progress progress) {
        this.types = new TypeSource(List.copyOf(classPath), progress);
        this.progress = progress;
    }

    /**
     * Adds interfaces and abstract classes from sources, class files or jars.
     *
     * @param places source files, folders of them at any depth, folders of class files, and jars; the latter two join
     *     the class path
     * @param only qualified names of the types to use, separated by commas; {@code *} matches anything
     * @throws GenerateException if a place is missing or cannot be read, or the declarations in the sources do not
     *     compile
     */
    public void addFrom(List<Path> places, String only) {
        Predicate<String> wanted = TypeNames.wanted(only).asMatchPredicate();
        List<Path> sources = new ArrayList<>();
        for (Path place : places) {
            if (TypeSource.holdsClasses(place)) {
                types.readClasses(place, wanted);
            } else {
                sources.add(place);
            }
        }
        if (!sources.isEmpty()) {
            types.readSources(sources, wanted);
        }
    }

    /**
     * Adds types of the class path or of the JDK.
     *
     * @param names their qualified names; {@code *} matches anything within the last part of a name
     * @throws GenerateException if the type does not exist
     */
    public void addTypes(List<String> names) {
        List<String> whole = new ArrayList<>();
        for (String name : names) {
            if (name.contains("*")) {
                String packageName = name.substring(0, Math.max(0, name.lastIndexOf('.')));
                types.readPackage(packageName, name, TypeNames.wanted(name).asMatchPredicate());
            } else {
                whole.add(name);
            }
        }
        if (!whole.isEmpty()) {
            types.readNamed(whole);
        }
    }

    /**
     * Marks written doubles with {@code javax.annotation.processing.Generated}, which null checkers and linters
     * respect.
     *
     * @return this
     */
    public Generator markingGenerated() {
        marking = true;
        return this;
    }

    TypeSource types() {
        return types;
    }

    /** Keeps a double of an earlier run: it is neither written nor reported as missing. */
    void leaveStanding(Path file) {
        standing.add(file);
    }

    Set<Path> standing() {
        return standing;
    }

    /**
     * Returns the types that no double can be written for, each with the reason.
     *
     * @return one line each
     */
    public List<String> leftOut() {
        return List.copyOf(types.leftOut().keySet());
    }

    /**
     * Returns hints on how the types could be read better.
     *
     * @return one line each; usually none
     */
    public List<String> hints() {
        int unnamed = types.unnamed();
        return unnamed == 0
                ? List.of()
                : List.of("The class files do not name the parameters of " + unnamed
                        + (unnamed == 1 ? " method" : " methods") + ", so they are counted: first, second. Put the jar"
                        + " of sources beside that of classes, or compile with -parameters.");
    }

    /**
     * Plans the files to write, and compares them with existing files.
     *
     * @param styles the kinds of doubles
     * @param packageName the package of the doubles; empty for the package of each type. Linked doubles always use the
     *     latter
     * @param folder the root folder of the sources
     * @param again the command that writes the files again, for the first line of each; files in the folder with the
     *     same command that are not written any more are reported as vanished
     * @return the plan
     * @throws GenerateException if no type was found, or two doubles have the same file
     */
    public Plan plan(Set<Style> styles, String packageName, Path folder, String again) {
        if (types.models().isEmpty() && standing.isEmpty()) {
            throw new GenerateException("No interface and no abstract class was found"
                    + (types.leftOut().isEmpty()
                            ? "."
                            : ": " + String.join(", ", leftOut()).replaceAll("\\.$", "") + "."));
        }
        Map<Path, Supplier<String>> sources = new TreeMap<>();
        Map<Path, String> doubled = new HashMap<>();
        for (TypeModel model : types.models()) {
            Path own = folder.resolve(model.name().canonicalName().replace('.', '/') + ".java");
            if (OutputFolder.isGenerated(own)) {
                // A double of a double: what was written before lies among the classes that are read.
                continue;
            }
            for (Style style : EnumSet.copyOf(styles)) {
                String target = DoubleName.packageOf(model, style, packageName);
                String obstacle = DoubleName.obstacle(model, style, target);
                if (!obstacle.isEmpty()) {
                    types.leaveOut(model.name().canonicalName(), obstacle);
                    continue;
                }
                Set<String> neighbours = types.namesIn(target);
                String name = (target.isEmpty() ? "" : target + ".") + DoubleName.of(model, style);
                Path file = Path.of(target.replace('.', '/'), DoubleName.of(model, style) + ".java");
                if (types.isThere(name) && !OutputFolder.isGenerated(folder.resolve(file))) {
                    types.leaveOut(
                            model.name().canonicalName(),
                            "gets no " + style.word() + ": " + name
                                    + " is there already, and was not generated into this folder. Write it to"
                                    + " another package.");
                    continue;
                }
                if (sources.containsKey(file)) {
                    types.leaveOut(
                            model.name().canonicalName(),
                            "gets no " + style.word() + ": " + name + " is the double of " + doubled.get(file)
                                    + ". Write it to another package.");
                    continue;
                }
                if (standing.contains(folder.resolve(file))) {
                    throw new GenerateException(
                            "Two types would be written to " + file + ". Write them to different packages.");
                }
                doubled.put(file, model.name().canonicalName());
                sources.put(file, () -> Writer.write(model, style, target, neighbours, marking));
            }
        }
        new ForeignDoubles(types, doubled).removeRefused(sources);
        if (sources.isEmpty() && standing.isEmpty()) {
            throw new GenerateException("Nothing can be written:\n  " + String.join("\n  ", leftOut()));
        }
        return new Plan(new OutputFolder(folder, again, styles), folder, sources, doubled, standing, progress);
    }

    /** The files to write. */
    public static final class Plan {

        private final OutputFolder output;
        private final Path folder;
        /**
         * Each source is written when it is needed, because all of them together need much more memory than their
         * models.
         */
        private final Map<Path, Supplier<String>> sources;

        /** The doubled type of each file. */
        private final Map<Path, String> doubled;

        private final Set<Path> standing;
        private final Progress progress;

        private Plan(
                OutputFolder output,
                Path folder,
                Map<Path, Supplier<String>> sources,
                Map<Path, String> doubled,
                Set<Path> standing,
                Progress progress) {
            this.output = output;
            this.folder = folder;
            this.sources = sources;
            this.doubled = doubled;
            this.standing = standing;
            this.progress = progress;
        }

        /**
         * Returns the number of files.
         *
         * @return those of this plan, and those kept from an earlier run
         */
        public int size() {
            return sources.size() + standing.size();
        }

        /** The doubled type of a file; empty if the file is not written any more. */
        String doubledIn(Path file) {
            return doubled.getOrDefault(folder.relativize(file), "");
        }

        /**
         * Compares existing files with those to write.
         *
         * @return one result per file; files whose types are gone come last
         */
        public List<GeneratedFile> compare() {
            return each((outcome, source) -> {});
        }

        /**
         * Writes new and stale files; leaves files alone that are up to date, edited by hand, or not generated.
         *
         * @param force whether files edited by hand are overwritten as well
         * @return the state before writing, one result per file
         */
        public List<GeneratedFile> write(boolean force) {
            return write(force, written -> {});
        }

        /**
         * As {@link #write(boolean)}, and reports each written file.
         *
         * @param force whether files edited by hand are overwritten as well
         * @param written is given each file after it has been written
         * @return the state before writing, one result per file
         */
        public List<GeneratedFile> write(boolean force, Consumer<Path> written) {
            return each((outcome, source) -> {
                if (outcome.state().isWritten(force)) {
                    output.write(outcome.file(), source);
                    synchronized (written) {
                        written.accept(outcome.file());
                    }
                }
            });
        }

        /** Compares each source with the existing file, on as many threads as there are processors. */
        private List<GeneratedFile> each(BiConsumer<GeneratedFile, String> then) {
            AtomicInteger done = new AtomicInteger();
            Set<Path> wanted = new HashSet<>(sources.keySet());
            standing.forEach(file -> wanted.add(folder.relativize(file)));
            List<Path> vanished = output.vanished(wanted);
            List<GeneratedFile> outcomes = new ArrayList<>(sources.entrySet().parallelStream()
                    .map(each -> {
                        String source = each.getValue().get();
                        GeneratedFile outcome = OutputFolder.outcome(folder.resolve(each.getKey()), source);
                        then.accept(outcome, source);
                        synchronized (done) {
                            progress.reached("writing", done.incrementAndGet(), sources.size());
                        }
                        return outcome;
                    })
                    .toList());
            vanished.forEach(file -> outcomes.add(new GeneratedFile(file, GeneratedFile.State.VANISHED, List.of())));
            return outcomes;
        }
    }
}
