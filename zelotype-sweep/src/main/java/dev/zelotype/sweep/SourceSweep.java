package dev.zelotype.sweep;

import dev.zelotype.generate.GenerateException;
import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.Generator;
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
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Pattern;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Writes doubles of every style as source for each interface and abstract class of modules and libraries, compiles them with
 * every warning an error, and uses them.
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
            "commons-lang3-sources",
            "vavr",
            "resilience4j-core",
            "micrometer-core",
            "caffeine",
            "rxjava",
            "vertx-core",
            "undertow-core",
            "jetty-server",
            "lucene-core",
            "pdfbox",
            "curator-framework",
            "mongodb-driver-sync",
            "flyway-core",
            "antlr4-runtime",
            "commons-compress",
            "commons-collections4",
            "eclipse-collections-api",
            "retrofit",
            "log4j-core",
            "jakarta.ws.rs-api",
            "org.eclipse.jgit",
            "graphql-java",
            "jdbi3-core",
            "opentelemetry-sdk-trace");

    private static final String HEAD = """
            # Source sweep

            Doubles of all styles (base, stub, strict, spy, fake, working-fake, linked) for every interface and abstract
            class of some JDK modules and libraries: written as source, compiled with `-Xlint:all -Werror` (without
            `auxiliaryclass`, which warns about a library's own files), and then used. Each double is made with each of its
            constructors; an answer is set for each method in every possible way, and compared with what a call returns; each
            spy passes its calls on. Written by `zelotype-sweep/sources`.

            - *left out*: doubles that cannot be written as source, each with its reason. The type is sealed or private, can
              only be doubled in its own package, has only static methods, is a preview feature, refers to missing types,
              conflicts with newer versions of its supertypes, or has a method that Java cannot declare.
            - *not made*: doubles of classes whose constructors refuse made-up arguments, or that cannot be loaded here.
            - *bad*: doubles that the compiler rejects or warns about, and doubles that do not behave as they should.
            """;

    /** The most seconds that using one double may take. */
    private static final int LONGEST = 10;

    private final String name;
    private final List<Path> classPath = new ArrayList<>();
    private final Set<String> reasons = new TreeSet<>();
    private final List<String> bad = new ArrayList<>();
    private final List<Path> written = new ArrayList<>();
    private final Map<String, Integer> notMade = new TreeMap<>();
    private int leftOut;
    private int used;
    private long calls;

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
            System.out.println(name + ": " + sweep.written.size() + " files, " + sweep.leftOut + " left out, "
                    + sweep.used + " used, " + sweep.calls + " calls, " + sweep.notMade() + " not made, "
                    + sweep.bad.size() + " bad");
            sweep.reasons.forEach(reason -> System.out.println("  passed over: " + reason));
            sweep.notMade.forEach((reason, times) -> System.out.println("  not made: " + times + " x " + reason));
            sweep.bad.forEach(problem -> System.out.println("  BAD " + problem));
            rows.add("| " + name + " | " + sweep.written.size() + " | " + sweep.leftOut + " | " + sweep.used + " | "
                    + sweep.calls + " | " + sweep.notMade() + " | " + sweep.bad.size() + " |");
        }
        if (arguments.length <= 1) {
            SectionedPage.write(Path.of(arguments[0]), HEAD, section(rows));
        }
        System.exit(failed == 0 ? 0 : 1);
    }

    private static String section(List<String> rows) {
        return """
                Compiled on %s.

                | module or library | files | left out | used | calls | not made | bad |
                |---|---|---|---|---|---|---|
                %s
                """.formatted(System.getProperty("java.version"), String.join("\n", rows));
    }

    private void run() throws IOException {
        Path folder = WholeFiles.temporaryFolder("zelotype-sources");
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
            if (written.isEmpty()) {
                bad.add("nothing was written: " + reasons);
                return;
            }
            compile(folder);
            if (bad.isEmpty()) {
                use(folder);
            }
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
            generator
                    .plan(EnumSet.allOf(Style.class), packageName, folder, "zelotype-sweep/sources")
                    .write(false)
                    .stream()
                    .filter(outcome -> outcome.state() == GeneratedFile.State.NEW)
                    .forEach(outcome -> written.add(outcome.file()));
        } catch (GenerateException e) {
            // A package without an interface, or without a type that can be doubled.
            reasons.add(e.getMessage());
        }
        leftOut += generator.leftOut().size();
    }

    private int notMade() {
        return notMade.values().stream().mapToInt(Integer::intValue).sum();
    }

    private void use(Path folder) throws IOException {
        try (LibraryLoader loader = LibraryLoader.of(folder.resolve("classes"), classPath)) {
            for (Path each : written) {
                String file = folder.relativize(each).toString();
                String type =
                        file.substring(0, file.length() - ".java".length()).replace(File.separatorChar, '.');
                try {
                    calls += within(() -> UsedDoubles.use(type, styleOf(type), loader));
                    used++;
                } catch (UsedDoubles.NotMade e) {
                    notMade.merge(e.getMessage().lines().findFirst().orElse(""), 1, Integer::sum);
                } catch (UsedDoubles.Wrong e) {
                    bad.add(type + ": " + e.getMessage());
                }
            }
        }
    }

    /** A library's own constructor may never return. */
    private static int within(Callable<Integer> use) throws UsedDoubles.NotMade, UsedDoubles.Wrong {
        FutureTask<Integer> task = new FutureTask<>(use);
        Thread thread = new Thread(task, "use");
        thread.setDaemon(true);
        thread.start();
        try {
            return task.get(LONGEST, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof UsedDoubles.NotMade notMade) {
                throw notMade;
            } else if (e.getCause() instanceof UsedDoubles.Wrong wrong) {
                throw wrong;
            }
            throw new UsedDoubles.Wrong("cannot be used: " + e.getCause());
        } catch (InterruptedException | TimeoutException e) {
            throw new UsedDoubles.NotMade(e);
        }
    }

    /** The longest suffix decides: a strict stub also ends in "Stub". */
    private static Style styleOf(String type) {
        return Arrays.stream(Style.values())
                .filter(each -> type.endsWith(each.suffix()))
                .max(Comparator.comparingInt(each -> each.suffix().length()))
                .orElseThrow();
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
            boolean compiled = compiler.getTask(
                            null, manager, said, options, null, manager.getJavaFileObjectsFromPaths(sources))
                    .call();
            boolean saysWhy = said.getDiagnostics().stream().anyMatch(each -> each.getKind() == Diagnostic.Kind.ERROR);
            if (!compiled && !saysWhy) {
                bad.add("the compiler broke off, for example because it had too little memory: see above");
            }
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
