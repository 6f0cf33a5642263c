package dev.zelotype.sweep;

import dev.zelotype.generate.GenerateException;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.Progress;
import dev.zelotype.generate.Style;
import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.lang.module.ModuleDescriptor;
import java.lang.module.ModuleFinder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Writes doubles of every style as source for each interface and abstract class of modules and libraries, and compiles
 * them with every warning an error.
 */
public final class SourceSweep {

    private static final List<String> ALL = List.of(
            "java.base",
            "java.sql",
            "java.net.http",
            "java.desktop",
            "java.xml",
            "java.naming",
            "spring-core",
            "spring-jdbc",
            "netty-handler",
            "guava",
            "kafka-clients",
            "jackson-databind",
            "httpclient5",
            "jakarta.servlet-api",
            "jakarta.persistence-api",
            "kotlin-stdlib",
            "kotlinx-coroutines-core-jvm",
            "okhttp",
            "grpc-services",
            "commons-lang3-sources");

    private static final String HEAD = """
            # Source sweep

            Doubles of all styles (base, stub, strict, spy, fake, working-fake, linked) written as source for every interface and
            abstract class of some JDK modules and libraries, and compiled with `-Xlint:all -Werror` (without
            `auxiliaryclass`, which is said of a library's own files). Written by `zelotype-sweep/sources`. *Left out*
            counts the doubles that no source can be written for, each with its reason: the type is
            sealed or private, can only be doubled in its own package, has only static methods, is only a preview,
            refers to what is not there, or has a method that no Java class can write. A *bad* file is one that the
            compiler refuses or warns of.
            """;

    private final String name;
    private final List<Path> classPath = new ArrayList<>();
    private final Set<String> reasons = new TreeSet<>();
    private final List<String> bad = new ArrayList<>();
    private int files;
    private int leftOut;

    private SourceSweep(String name) {
        this.name = name;
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            if (entry.endsWith(".jar") && !entry.endsWith("-sources.jar")) {
                classPath.add(Path.of(entry));
            }
        }
    }

    public static void main(String[] arguments) throws IOException {
        List<String> names = arguments.length > 1 ? List.of(arguments).subList(1, arguments.length) : ALL;
        List<String> rows = new ArrayList<>();
        int failed = 0;
        for (String name : names) {
            SourceSweep sweep = new SourceSweep(name);
            sweep.run();
            failed += sweep.bad.size();
            System.out.println(
                    name + ": " + sweep.files + " files, " + sweep.leftOut + " left out, " + sweep.bad.size() + " bad");
            sweep.reasons.forEach(reason -> System.out.println("  passed over: " + reason));
            sweep.bad.forEach(problem -> System.out.println("  BAD " + problem));
            rows.add("| " + name + " | " + sweep.files + " | " + sweep.leftOut + " | " + sweep.bad.size() + " |");
        }
        if (arguments.length <= 1) {
            SectionedPage.write(Path.of(arguments[0]), HEAD, section(rows));
        }
        System.exit(failed == 0 ? 0 : 1);
    }

    private static String section(List<String> rows) {
        return """
                Compiled on %s.

                | module or library | files | left out | bad |
                |---|---|---|---|
                %s
                """.formatted(System.getProperty("java.version"), String.join("\n", rows));
    }

    private void run() throws IOException {
        Path folder = Files.createTempDirectory("zelotype-sources");
        try {
            if (name.startsWith("java.")) {
                ModuleDescriptor module =
                        ModuleFinder.ofSystem().find(name).orElseThrow().descriptor();
                for (ModuleDescriptor.Exports exported : module.exports()) {
                    if (!exported.isQualified()) {
                        String source = exported.source();
                        write(folder, "doubles." + source, generator -> generator.addTypes(List.of(source + ".*")));
                    }
                }
            } else {
                Path jar = jar();
                write(folder, "", generator -> generator.addFrom(List.of(jar), "*"));
            }
            compile(folder);
        } finally {
            WholeFiles.delete(folder);
        }
    }

    private Path jar() throws IOException {
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            String file = Path.of(entry).getFileName().toString();
            String plain = name.replace("-sources", "");
            if (file.matches(Pattern.quote(plain) + "-\\d.*")
                    && file.endsWith("-sources.jar") == name.endsWith("-sources")) {
                return Path.of(entry);
            }
        }
        throw new IOException(name + " is neither a JDK module nor a jar on the class path.");
    }

    private interface Adding {
        void to(Generator generator);
    }

    private void write(Path folder, String packageName, Adding adding) {
        Generator generator = new Generator(classPath, Progress.NONE);
        try {
            adding.to(generator);
            List<GeneratedFile> written = generator
                    .plan(EnumSet.allOf(Style.class), packageName, folder, "zelotype-sweep/sources")
                    .write(false);
            files += (int) written.stream()
                    .filter(outcome -> outcome.state() == GeneratedFile.State.NEW)
                    .count();
        } catch (GenerateException e) {
            // A package without an interface, or without a type that can be written.
            reasons.add(e.getMessage());
        }
        leftOut += generator.leftOut().size();
    }

    private void compile(Path folder) throws IOException {
        List<Path> sources;
        try (var all = Files.walk(folder)) {
            sources = all.filter(file -> file.toString().endsWith(".java")).toList();
        }
        DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(said, null, null)) {
            List<String> options = List.of(
                    "-proc:none",
                    "-Xlint:all,-path,-classfile,-options,-auxiliaryclass",
                    "-Xmaxerrs",
                    "100000",
                    "-Xmaxwarns",
                    "100000",
                    "-d",
                    Files.createDirectories(folder.resolve("classes")).toString(),
                    "-classpath",
                    String.join(
                            File.pathSeparator,
                            classPath.stream().map(Path::toString).toList()));
            compiler.getTask(null, manager, said, options, null, manager.getJavaFileObjectsFromPaths(sources))
                    .call();
        }
        Map<String, String> first = new LinkedHashMap<>();
        for (Diagnostic<? extends JavaFileObject> problem : said.getDiagnostics()) {
            if (problem.getSource() != null && problem.getKind() != Diagnostic.Kind.NOTE) {
                first.putIfAbsent(
                        folder.relativize(Path.of(problem.getSource().getName()))
                                .toString(),
                        problem.getLineNumber() + ": "
                                + problem.getMessage(Locale.ROOT).replaceAll("\\s+", " "));
            }
        }
        first.forEach((file, problem) -> bad.add(file + ":" + problem));
    }
}
