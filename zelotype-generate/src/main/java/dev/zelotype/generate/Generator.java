package dev.zelotype.generate;

import dev.zelotype.generate.Outcome.State;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * Writes doubles as source.
 *
 * <pre>{@code
 * Generator generator = new Generator(List.of());
 * generator.addSources(List.of(Path.of("src/main/java")), name -> name.startsWith("dev.observatory."));
 * generator.plan(Set.of(Style.STUB), "dev.observatory.doubles", Path.of("src/test/java")).write(false);
 * }</pre>
 */
public final class Generator {

    private final TypeSource types;

    /**
     * Prepares a generator.
     *
     * @param classPath what the types refer to: jars and folders of class files
     */
    public Generator(List<Path> classPath) {
        types = new TypeSource(List.copyOf(classPath));
    }

    /**
     * Adds the types of source files.
     *
     * @param filesAndFolders files, or folders with files at any depth
     * @param wanted which of the types, by qualified name
     * @throws GenerateException if the sources do not compile
     */
    public void addSources(List<Path> filesAndFolders, Predicate<String> wanted) {
        types.readSources(filesAndFolders, wanted);
    }

    /**
     * Adds the types of a jar or of a folder of class files, which also joins the class path.
     *
     * @param jarOrFolder the jar or folder
     * @param wanted which of the types, by qualified name
     * @throws GenerateException if it cannot be read
     */
    public void addClasses(Path jarOrFolder, Predicate<String> wanted) {
        types.readClasses(jarOrFolder, wanted);
    }

    /**
     * Adds types of the class path or of the JDK.
     *
     * @param names their qualified names
     * @throws GenerateException if there is no such type
     */
    public void addTypes(List<String> names) {
        types.readNamed(names);
    }

    /**
     * The types that no double can be written for, each with the reason.
     *
     * @return one line each
     */
    public List<String> leftOut() {
        return List.copyOf(types.leftOut());
    }

    /**
     * Says what is to be written where, and compares it with what is there.
     *
     * @param styles the sorts of doubles
     * @param packageName the package of the doubles; empty for that of each type
     * @param folder the root folder of the sources
     * @return the plan
     * @throws GenerateException if no type was found
     */
    public Plan plan(Set<Style> styles, String packageName, Path folder) {
        if (types.models().isEmpty()) {
            throw new GenerateException("No interface and no abstract class was found"
                    + (types.leftOut().isEmpty() ? "." : ": " + String.join(", ", types.leftOut()) + "."));
        }
        Map<Path, String> sources = new TreeMap<>();
        for (TypeModel model : types.models()) {
            String target = packageName.isEmpty() ? model.name().packageName() : packageName;
            for (Style style : EnumSet.copyOf(styles)) {
                Path file = Path.of(target.replace('.', '/'), model.doubleName(style) + ".java");
                if (sources.put(file, Writer.write(model, style, target)) != null) {
                    throw new GenerateException(
                            "Two types would be written to " + file + ". Write them to different packages.");
                }
            }
        }
        return new Plan(new OutputFolder(folder), folder, sources);
    }

    /** What is to be written. */
    public static final class Plan {

        private final OutputFolder output;
        private final Path folder;
        private final Map<Path, String> sources;

        private Plan(OutputFolder output, Path folder, Map<Path, String> sources) {
            this.output = output;
            this.folder = folder;
            this.sources = sources;
        }

        /**
         * How the files stand to what would be written.
         *
         * @return one outcome a file, those of types that are gone at the end
         */
        public List<Outcome> compare() {
            return output.compare(sources);
        }

        /**
         * Writes what is new or stale; leaves files that are up to date or edited by hand as they are.
         *
         * @param force whether files edited by hand are overwritten as well
         * @return what was found before writing, one outcome a file
         */
        public List<Outcome> write(boolean force) {
            List<Outcome> outcomes = new ArrayList<>(compare());
            for (Outcome outcome : outcomes) {
                boolean write = outcome.state() == State.NEW
                        || outcome.state() == State.STALE
                        || force && outcome.state() == State.EDITED;
                if (write) {
                    output.write(outcome.file(), sources.get(folder.relativize(outcome.file())));
                }
            }
            return outcomes;
        }
    }
}
