package dev.zelotype.generate;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TaskEvent;
import com.sun.source.util.TaskListener;
import com.sun.source.util.TreePath;
import com.sun.source.util.Trees;
import dev.zelotype.generate.model.Names;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.read.Bridges;
import dev.zelotype.generate.read.DoublableTypes;
import dev.zelotype.generate.read.ModelReader;
import dev.zelotype.generate.read.ParameterNames;
import dev.zelotype.generate.read.SourceJars;
import dev.zelotype.generate.read.SourceNames;
import dev.zelotype.tools.Folders;
import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.ProviderNotFoundException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.jspecify.annotations.Nullable;

/**
 * Finds types in source files and on the class path, with the JDK's compiler.
 */
final class TypeSource {

    private static final String SOURCES = "-sources.jar";

    /** The most files or entries that a message names. */
    private static final int MOST_NAMED = 3;

    private final List<Path> classPath;
    private final Progress progress;
    private final List<TypeModel> models = new ArrayList<>();
    /** Types without a double and their reasons, by the lines that report them. */
    private final Map<String, String> leftOut = new LinkedHashMap<>();

    private final Map<Path, SourceRecord> records = new LinkedHashMap<>();
    private final Map<Path, Integer> unnamed = new HashMap<>();
    private final List<ParameterNames> parameterNames = new ArrayList<>();
    /** The folders that jars of sources were unpacked to. */
    private final Map<Path, Path> unpackedFrom = new LinkedHashMap<>();

    private int unnamedBefore;
    private boolean isRecording;
    private final List<Elements> lookups = new ArrayList<>();
    /** The types with models that were not written in Java. */
    private final Set<String> foreign = new HashSet<>();

    private final Map<String, Set<String>> typesOf = new HashMap<>();

    TypeSource(List<Path> classPath, Progress progress) {
        this.classPath = new ArrayList<>(classPath);
        this.progress = progress;
    }

    List<TypeModel> models() {
        return models;
    }

    /** Types that were found but cannot be doubled as source, with the reasons, by the lines that report them. */
    Map<String, String> leftOut() {
        return leftOut;
    }

    /** Whether a type was not written in Java, given its canonical name. */
    boolean isForeign(String type) {
        return foreign.contains(type);
    }

    void leaveOut(String type, String reason) {
        leftOut.put(type + " " + reason, type);
    }

    /** Keeps the sources for another run. */
    void keepRecords() {
        isRecording = true;
    }

    /** The source files that were read, or are known from an earlier run, if they are kept. */
    Collection<SourceRecord> records() {
        return records.values();
    }

    /** Adds the result of an earlier run for a source file that need not be read again. */
    void takeOver(Path source, int unnamedMethods) {
        unnamed.put(source, unnamedMethods);
        unnamedBefore += unnamedMethods;
    }

    /** How many methods in a source file have parameters without names. */
    int unnamedOf(Path source) {
        return unnamed.getOrDefault(source, 0);
    }

    /** Reads the types of source files, or of the source files in folders, whose names match. */
    void readSources(List<Path> filesAndFolders, Predicate<String> wanted) {
        List<Path> files = new ArrayList<>();
        for (Path each : filesAndFolders) {
            files.addAll(sourcesBelow(each.toString().endsWith(SOURCES) ? unpacked(each) : each));
        }
        if (files.isEmpty()) {
            throw new GenerateException(
                    "There is no .java file in " + filesAndFolders + ". Give files or folders of sources.");
        }
        readSources(files, Set.copyOf(files), wanted);
    }

    /**
     * Reads the types of some source files, and of those that depend on them.
     *
     * @param before all source files, with the state in which they were read before
     * @param changed the changed files
     * @return the files that were read; null if they declare other types than before, or cannot be understood without
     *     the rest: then nothing has happened
     */
    @Nullable
    Set<Path> readChanged(Collection<SourceRecord> before, Set<Path> changed, Predicate<String> wanted) {
        if (changed.stream().anyMatch(TypeSource::isOfPackage)) {
            // It says something of all types of its package.
            return null;
        }
        Map<Path, SourceRecord> now = new LinkedHashMap<>();
        before.forEach(each -> now.put(each.file(), each));
        for (SourceRecord each : changed.isEmpty() ? List.<SourceRecord>of() : parsed(changed)) {
            SourceRecord old = now.put(each.file(), each);
            if (old == null || !old.declared().equals(each.declared())) {
                return null;
            }
        }
        SourceGraph graph = new SourceGraph(now.values());
        Set<Path> read = graph.dependingOn(changed);
        try {
            if (!read.isEmpty()) {
                Set<Path> needed = new TreeSet<>(graph.neededBy(read));
                now.keySet().stream().filter(TypeSource::isOfPackage).forEach(needed::add);
                readSources(needed, read, wanted);
            }
        } catch (GenerateException e) {
            // Reading everything later will report the error.
            return null;
        }
        now.forEach(records::putIfAbsent);
        typesOf.clear();
        return read;
    }

    private static List<SourceRecord> parsed(Set<Path> files) {
        JavaCompiler compiler = compiler();
        List<SourceRecord> records = new ArrayList<>();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(problem -> {}, null, null)) {
            Map<JavaFileObject, Path> given = given(manager, files);
            JavacTask task = (JavacTask) compiler.getTask(null, manager, problem -> {}, null, null, given.keySet());
            for (CompilationUnitTree unit : task.parse()) {
                records.add(SourceRecord.of(given.get(unit.getSourceFile()), unit));
            }
        } catch (IOException e) {
            throw new GenerateException("The sources cannot be read: " + e + ".");
        }
        return records;
    }

    /**
     * The files as the compiler names them, with the given paths: these differ if the given paths are relative or lead
     * through links. A file that is given twice counts once.
     */
    private static Map<JavaFileObject, Path> given(StandardJavaFileManager manager, Collection<Path> files) {
        Map<JavaFileObject, Path> given = new LinkedHashMap<>();
        Iterator<Path> paths = files.iterator();
        for (JavaFileObject each : manager.getJavaFileObjectsFromPaths(files)) {
            given.putIfAbsent(each, paths.next());
        }
        return given;
    }

    /** Compiles the declarations of files, and reads the types of some of them. */
    private void readSources(Collection<Path> files, Set<Path> read, Predicate<String> wanted) {
        DiagnosticCollector<JavaFileObject> problems = new DiagnosticCollector<>();
        JavaCompiler compiler = compiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(problems, null, null)) {
            Map<JavaFileObject, Path> given = given(manager, files);
            JavacTask task = (JavacTask) compiler.getTask(null, manager, problems, options(), null, given.keySet());
            task.addTaskListener(countingTo(files.size()));
            Iterable<? extends CompilationUnitTree> units = task.parse();
            // Only signatures: a double does not depend on method bodies.
            task.getElements().getTypeElement(Object.class.getName());
            Map<Path, String> broken = brokenInJars(problems, given);
            if (!broken.isEmpty()) {
                readWithout(broken, units, given, read, wanted);
                return;
            }
            refuseErrors(problems);
            Reading reading = new Reading(task.getElements(), reader(task), type -> false);
            Trees trees = Trees.instance(task);
            for (CompilationUnitTree unit : units) {
                Path file = given.get(unit.getSourceFile());
                // Doubles among the sources get no doubles of their own. The compiler has kept the text.
                if (read.contains(file)
                        && !OutputFolder.isGenerated(unit.getSourceFile().getCharContent(true))) {
                    TreePath path = new TreePath(unit);
                    int before = unnamed();
                    for (Tree declared : unit.getTypeDecls()) {
                        if (trees.getElement(new TreePath(path, declared)) instanceof TypeElement type) {
                            readWithNested(reading, type, wanted);
                        }
                    }
                    unnamed.put(file, unnamed() - before);
                }
                if (isRecording && read.contains(file)) {
                    records.put(file, SourceRecord.of(file, unit));
                }
            }
        } catch (IOException e) {
            throw new GenerateException("The sources cannot be read: " + e + ".");
        }
    }

    /**
     * The files with errors, each with its first error, if all of them come from jars of sources, which cannot be
     * repaired.
     */
    private Map<Path, String> brokenInJars(
            DiagnosticCollector<JavaFileObject> problems, Map<JavaFileObject, Path> given) {
        Map<Path, String> broken = new LinkedHashMap<>();
        for (Diagnostic<? extends JavaFileObject> each : problems.getDiagnostics()) {
            if (each.getKind() != Diagnostic.Kind.ERROR) {
                continue;
            }
            Path file = each.getSource() == null ? null : given.get(each.getSource());
            if (file == null || jarOf(file) == null) {
                return Map.of();
            }
            String line = each.getMessage(Locale.ROOT).lines().findFirst().orElse("");
            broken.putIfAbsent(file, ":" + each.getLineNumber() + " " + line);
        }
        return broken;
    }

    /** The folder that a jar was unpacked to, given a file in it; null if the file is in none. */
    private @Nullable Path jarOf(Path file) {
        return unpackedFrom.keySet().stream()
                .filter(file::startsWith)
                .findFirst()
                .orElse(null);
    }

    /** Reads the remaining files of a jar of sources after some files with missing references were left out. */
    private void readWithout(
            Map<Path, String> broken,
            Iterable<? extends CompilationUnitTree> units,
            Map<JavaFileObject, Path> given,
            Set<Path> read,
            Predicate<String> wanted) {
        Map<Path, List<String>> reasons = new LinkedHashMap<>();
        Map<Path, Integer> counts = new LinkedHashMap<>();
        for (CompilationUnitTree unit : units) {
            Path file = given.get(unit.getSourceFile());
            String reason = broken.get(file);
            if (reason != null && declaresWanted(unit, wanted)) {
                Path folder = jarOf(file);
                counts.merge(folder, 1, Integer::sum);
                List<String> told = reasons.computeIfAbsent(folder, first -> new ArrayList<>());
                if (told.size() < MOST_NAMED) {
                    told.add(folder.relativize(file).toString().replace('\\', '/') + reason);
                }
            }
        }
        reasons.forEach((folder, told) -> {
            int count = counts.get(folder);
            leaveOut(
                    unpackedFrom.get(folder).getFileName().toString(),
                    "has " + count + (count == 1 ? " file that refers" : " files that refer")
                            + " to what is not there: "
                            + String.join("; ", told) + (count > told.size() ? "; and others" : "")
                            + ". Give it with --class-path.");
        });
        Set<Path> rest = new TreeSet<>(given.values());
        rest.removeAll(broken.keySet());
        if (!rest.isEmpty()) {
            Set<Path> still = new HashSet<>(read);
            still.retainAll(rest);
            readSources(rest, still, wanted);
        }
    }

    private static boolean declaresWanted(CompilationUnitTree unit, Predicate<String> wanted) {
        String home = unit.getPackageName() == null ? "" : unit.getPackageName() + ".";
        for (Tree declared : unit.getTypeDecls()) {
            if (declared instanceof ClassTree type && wanted.test(home + type.getSimpleName())) {
                return true;
            }
        }
        return false;
    }

    /** The compiler reads source files, not entries of jars. */
    private Path unpacked(Path jar) {
        try (FileSystem files = FileSystems.newFileSystem(jar);
                Stream<Path> all = Files.walk(files.getPath("/"))) {
            Path folder = WholeFiles.temporaryFolder("zelotype-sources");
            for (Path file :
                    all.filter(each -> each.toString().endsWith(".java")).toList()) {
                Path copy = folder.resolve(file.toString().substring(1));
                Files.createDirectories(copy.getParent());
                Files.copy(file, copy);
            }
            unpackedFrom.put(folder, jar);
            return folder;
        } catch (IOException | ProviderNotFoundException e) {
            throw new GenerateException(jar + " cannot be read as a jar: " + e.getMessage() + ".");
        }
    }

    private TaskListener countingTo(int files) {
        return new TaskListener() {
            private int read;

            @Override
            public void finished(TaskEvent event) {
                if (event.getKind() == TaskEvent.Kind.PARSE) {
                    progress.reached("reading", ++read, files);
                }
            }
        };
    }

    /** How to read types. */
    private record Reading(Elements elements, ModelReader models, Predicate<TypeElement> isForeign) {}

    private void readWithNested(Reading reading, TypeElement type, Predicate<String> wanted) {
        String name = type.getQualifiedName().toString();
        unlessUnreadable(name, () -> {
            // A concrete class among others was not requested, so it is not reported.
            if (wanted.test(name) && DoublableTypes.isDoublableKind(type)) {
                readModel(reading, type, name);
            }
            for (TypeElement nested : ElementFilter.typesIn(type.getEnclosedElements())) {
                readWithNested(reading, nested, wanted);
            }
        });
    }

    private void read(Reading reading, TypeElement type, String name) {
        unlessUnreadable(name, () -> readModel(reading, type, name));
    }

    /** The compiler throws exceptions of its own for class files that it cannot read, one of another type among them. */
    private void unlessUnreadable(String name, Runnable action) {
        try {
            action.run();
        } catch (RuntimeException e) {
            if (!e.getClass().getName().startsWith("com.sun.tools.javac.")) {
                throw e;
            }
            List<String> lines = String.valueOf(e.getMessage())
                    .lines()
                    .map(String::strip)
                    .limit(2)
                    .toList();
            leaveOut(name, "cannot be read: " + String.join(": ", lines));
        }
    }

    private void readModel(Reading reading, TypeElement type, String name) {
        String obstacle = DoublableTypes.obstacle(type);
        TypeModel model = obstacle.isEmpty() ? reading.models().read(type) : null;
        if (model == null) {
            leaveOut(name, obstacle);
        } else if (!model.obstacles().isEmpty()) {
            model.obstacles().forEach(reason -> leaveOut(name, reason));
        } else {
            models.add(model);
            if (reading.isForeign().test(type)) {
                foreign.add(model.name().canonicalName());
            }
        }
    }

    /** The first error in each of some sources that compile against the class path; none for those without. */
    <F> Map<F, String> errorsIn(Map<JavaFileObject, F> sources) {
        DiagnosticCollector<JavaFileObject> problems = new DiagnosticCollector<>();
        List<String> options = new ArrayList<>(options());
        options.addAll(List.of("-Xmaxerrs", String.valueOf(Integer.MAX_VALUE)));
        try {
            ((JavacTask) compiler().getTask(null, null, problems, options, null, sources.keySet())).analyze();
        } catch (IOException e) {
            throw new GenerateException("The doubles cannot be compiled: " + e + ".");
        }
        Map<F, String> errors = new LinkedHashMap<>();
        for (Diagnostic<? extends JavaFileObject> each : problems.getDiagnostics()) {
            F file = each.getSource() == null ? null : sources.get(each.getSource());
            if (file != null && each.getKind() == Diagnostic.Kind.ERROR) {
                errors.putIfAbsent(file, String.join(": ", lines(each)));
            }
        }
        return errors;
    }

    /** Reads the types of a jar or of a folder of class files whose names match. */
    void readClasses(Path jarOrFolder, Predicate<String> wanted) {
        List<String> names = new ArrayList<>();
        if (Files.isDirectory(jarOrFolder)) {
            names.addAll(classesBelow(jarOrFolder));
        } else {
            try (FileSystem jar = FileSystems.newFileSystem(jarOrFolder)) {
                names.addAll(classesBelow(jar.getPath("/")));
            } catch (IOException | ProviderNotFoundException e) {
                throw new GenerateException(jarOrFolder + " cannot be read as a jar: " + e.getMessage() + ".");
            }
        }
        classPath.add(jarOrFolder);
        Reading reading = ofClasses();
        List<String> outermost = outermost(names);
        int read = 0;
        for (String name : outermost) {
            TypeElement type = reading.elements().getTypeElement(name);
            if (type != null) {
                readWithNested(reading, type, wanted);
            } else if (wanted.test(name) && SourceVersion.isName(name)) {
                leaveOut(name, "cannot be read: the compiler refuses its class file");
            }
            progress.reached("reading", ++read, outermost.size());
        }
    }

    /** A name may contain a dollar sign; if the part before it is the name of another class, the type is nested. */
    private static List<String> outermost(List<String> names) {
        Set<String> all = new HashSet<>(names);
        List<String> outermost = new ArrayList<>();
        for (String name : names) {
            if (!isNestedIn(all, name)) {
                outermost.add(name);
            }
        }
        return outermost;
    }

    /** Whether a class name is the name of one of these types, a dollar sign, and more. */
    static boolean isNestedIn(Set<String> types, String name) {
        boolean nested = false;
        for (int at = name.indexOf('$'); at > 0; at = name.indexOf('$', at + 1)) {
            nested |= types.contains(name.substring(0, at));
        }
        return nested;
    }

    /** Whether a place is a jar, or a folder with class files and no sources. */
    static boolean holdsClasses(Path place) {
        if (!Files.isDirectory(place)) {
            return place.toString().endsWith(".jar") && !place.toString().endsWith(SOURCES);
        }
        return !holdsSources(place) && !classesBelow(place).isEmpty();
    }

    static List<String> classesBelow(Path root) {
        return below(
                root,
                files -> files.map(file -> root.relativize(file).toString().replace('\\', '/'))
                        .filter(name -> name.endsWith(".class")
                                && !name.endsWith("-info.class")
                                && !name.startsWith("META-INF"))
                        .map(name -> name.substring(0, name.length() - ".class".length())
                                .replace('/', '.'))
                        .sorted()
                        .toList());
    }

    /** Reads types of the class path or of the JDK by name. */
    void readNamed(List<String> names) {
        Reading reading = ofClasses();
        for (String name : names) {
            TypeElement type = reading.elements().getTypeElement(name);
            if (type == null) {
                throw new GenerateException("Type " + name + " was not found " + whereItIsMissing());
            }
            read(reading, type, name);
        }
    }

    /** Reads the types of a package of the class path or of the JDK whose names match. */
    void readPackage(String packageName, String pattern, Predicate<String> wanted) {
        Reading reading = ofClasses();
        PackageElement found = reading.elements().getPackageElement(packageName);
        int before = models.size();
        if (found != null) {
            for (TypeElement type : ElementFilter.typesIn(found.getEnclosedElements())) {
                readWithNested(reading, type, wanted);
            }
        }
        if (models.size() == before) {
            throw new GenerateException(
                    "No interface or abstract class called " + pattern + " was found " + whereItIsMissing());
        }
    }

    private String whereItIsMissing() {
        String cure = ". Give the jar or folder that contains it with --class-path.";
        if (classPath.isEmpty()) {
            return "in the JDK" + cure;
        }
        String entries = classPath.size() > MOST_NAMED
                ? "the " + classPath.size() + " entries of the class path"
                : String.join(", ", classPath.stream().map(Path::toString).toList());
        return "in the JDK, nor in " + entries + cure;
    }

    /** Whether a type of this name was found while types were searched. */
    boolean isThere(String name) {
        int dot = name.lastIndexOf('.');
        return namesIn(dot < 0 ? "" : name.substring(0, dot)).contains(name.substring(dot + 1));
    }

    /** The simple names of the types that were found in a package. */
    Set<String> namesIn(String packageName) {
        return typesOf.computeIfAbsent(packageName, this::typesOf);
    }

    /** The names of the types of a package: listed once, because each question about one name searches all modules. */
    private Set<String> typesOf(String packageName) {
        Set<String> names = new HashSet<>();
        for (Elements elements : lookups) {
            names.addAll(Names.ofTypes(elements, packageName));
        }
        for (SourceRecord each : records.values()) {
            names.addAll(each.outermostIn(packageName));
        }
        return names;
    }

    private ModelReader reader(JavacTask task) {
        lookups.add(task.getElements());
        typesOf.clear();
        ParameterNames names = new ParameterNames(new SourceJars(classPath));
        parameterNames.add(names);
        return new ModelReader(task.getElements(), task.getTypes(), names, new Bridges(classPath));
    }

    /** How many methods have parameters without names. */
    int unnamed() {
        return unnamedBefore
                + parameterNames.stream().mapToInt(ParameterNames::unknown).sum();
    }

    /** Reads types of the class path and of the JDK, as long as their elements are used. */
    private Reading ofClasses() {
        StandardJavaFileManager classes = compiler().getStandardFileManager(problem -> {}, null, null);
        JavacTask task = (JavacTask) compiler()
                .getTask(null, classes, new DiagnosticCollector<>(), options(), List.of("java.lang.Object"), null);
        Elements elements = task.getElements();
        return new Reading(
                elements,
                reader(task),
                type -> SourceNames.isForeign(
                        classes, elements.getBinaryName(type).toString()));
    }

    static List<Path> sourcesBelow(Path place) {
        if (!Files.exists(place)) {
            throw new GenerateException("File or folder " + place + " does not exist.");
        }
        return below(place, files -> files.filter(TypeSource::isSource).sorted().toList());
    }

    private static boolean holdsSources(Path folder) {
        return below(folder, files -> files.anyMatch(TypeSource::isSource));
    }

    private static <T> T below(Path place, Function<Stream<Path>, T> question) {
        try (Stream<Path> files = Folders.walk(place)) {
            return question.apply(files);
        } catch (IOException e) {
            throw new GenerateException(place + " cannot be read: " + e + ".");
        }
    }

    private static boolean isSource(Path file) {
        return file.toString().endsWith(".java") && !file.endsWith("module-info.java");
    }

    private static boolean isOfPackage(Path file) {
        return file.endsWith("package-info.java");
    }

    private List<String> options() {
        List<String> options = new ArrayList<>(List.of("-proc:none", "-parameters", "-Xlint:none", "-implicit:none"));
        if (!classPath.isEmpty()) {
            List<String> entries = new ArrayList<>();
            classPath.forEach(entry -> entries.add(entry.toString()));
            options.addAll(List.of("-classpath", String.join(File.pathSeparator, entries)));
        }
        return options;
    }

    private static JavaCompiler compiler() {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        if (compiler == null) {
            throw new GenerateException("This is a Java runtime without a compiler. Run with a JDK.");
        }
        return compiler;
    }

    private static void refuseErrors(DiagnosticCollector<JavaFileObject> problems) {
        StringBuilder errors = new StringBuilder();
        boolean missing = false;
        for (Diagnostic<? extends JavaFileObject> problem : problems.getDiagnostics()) {
            if (problem.getKind() == Diagnostic.Kind.ERROR) {
                String file = problem.getSource() == null
                        ? ""
                        : problem.getSource().getName() + ":" + problem.getLineNumber() + ": ";
                String message = message(problem);
                errors.append("\n  ").append(file).append(message);
                missing |= message.contains("cannot find symbol") || message.contains("does not exist");
            }
        }
        if (errors.length() > 0) {
            throw new GenerateException("The declarations do not compile, so nothing is guessed:" + errors
                    + (missing
                            ? "\nGive what they refer to with --class-path."
                            : "\nMend the sources first: doubles are written of what the compiler understands."));
        }
    }

    private static List<String> lines(Diagnostic<?> problem) {
        return problem.getMessage(Locale.ROOT).lines().map(String::strip).toList();
    }

    /** The error in one line, with the missing symbol. */
    private static String message(Diagnostic<?> problem) {
        List<String> lines = lines(problem);
        String symbol = lines.stream()
                .filter(line -> line.startsWith("symbol:"))
                .map(line -> " (" + line.substring("symbol:".length()).strip().replaceAll("\\s+", " ") + ")")
                .findFirst()
                .orElse("");
        return lines.isEmpty() ? "" : lines.get(0) + symbol;
    }
}
