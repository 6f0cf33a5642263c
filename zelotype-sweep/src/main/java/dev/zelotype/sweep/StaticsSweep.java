package dev.zelotype.sweep;

import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Replaces every public static method and constructor of some packages of the JDK, each as the first replacement in a
 * new JVM, and checks whether a call has the set result.
 */
public final class StaticsSweep {

    private static final String HEAD = """
            # Statics sweep

            Every public static method and constructor of some packages of the JDK. Each is the first replacement in a
            new JVM: it is set to fail, and then called. Written by `zelotype-sweep/statics`. For the forms in which a
            call can be written, see [call forms](call-forms.md).
            """;

    private static final List<String> PACKAGES = List.of(
            "java.lang", "java.util", "java.util.concurrent", "java.time", "java.io", "java.nio.file", "java.net");
    private static final int MOST_PARAMETERS = 8;
    private static final int PATIENCE_SECONDS = 60;

    private final Path folder;
    private final String agent;
    private final Map<String, Tally> tallies = new TreeMap<>();

    private StaticsSweep(Path folder, String agent) {
        this.folder = folder;
        this.agent = agent;
    }

    /** A method or constructor to replace. */
    private record Replaced(int number, String packageName, Executable executable) {}

    /**
     * Runs the sweep.
     *
     * @param arguments the page to write, the jar of the agent, and packages (by default all in the list)
     */
    public static void main(String[] arguments) throws Exception {
        List<String> packages = arguments.length > 2 ? List.of(arguments).subList(2, arguments.length) : PACKAGES;
        StaticsSweep sweep = new StaticsSweep(WholeFiles.temporaryFolder("zelotype-statics"), arguments[1]);
        boolean fine = sweep.run(packages);
        if (arguments.length == 2) {
            SectionedPage.write(Path.of(arguments[0]), HEAD, sweep.section());
        }
        System.exit(fine ? 0 : 1);
    }

    private boolean run(List<String> packages) throws Exception {
        List<Replaced> all = new ArrayList<>();
        for (String name : packages) {
            for (Class<?> type : publicTypes(name)) {
                collect(type, name, all);
            }
        }
        compile(all);
        ExecutorService pool = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        List<Future<String>> results = new ArrayList<>();
        for (Replaced each : all) {
            results.add(pool.submit(() -> tried(each)));
        }
        for (int i = 0; i < all.size(); i++) {
            note(all.get(i), results.get(i).get());
        }
        pool.shutdown();
        tallies.forEach((name, tally) -> System.out.println(name + ": " + tally));
        return tallies.values().stream().allMatch(tally -> tally.wrong == 0);
    }

    private static List<Class<?>> publicTypes(String packageName) throws IOException {
        Path classes = FileSystems.getFileSystem(URI.create("jrt:/"))
                .getPath("modules", "java.base", packageName.replace('.', '/'));
        List<Class<?>> types = new ArrayList<>();
        try (Stream<Path> files = Files.list(classes)) {
            for (Path file : files.sorted().toList()) {
                String name = file.getFileName().toString();
                if (name.endsWith(".class") && !name.endsWith("-info.class")) {
                    addIfPublic(types, packageName + "." + name.replace(".class", ""));
                }
            }
        }
        return types;
    }

    private static void addIfPublic(List<Class<?>> types, String name) {
        try {
            Class<?> type = Class.forName(name, false, null);
            boolean open = true;
            for (Class<?> c = type; c != null; c = c.getDeclaringClass()) {
                open &= Modifier.isPublic(c.getModifiers());
            }
            if (open) {
                types.add(type);
            }
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("A class of the JDK is gone: " + name, e);
        }
    }

    private static void collect(Class<?> type, String packageName, List<Replaced> all) {
        List<Executable> found = new ArrayList<>();
        for (Method method : type.getDeclaredMethods()) {
            if (Modifier.isStatic(method.getModifiers()) && !method.isSynthetic()) {
                found.add(method);
            }
        }
        if (!Modifier.isAbstract(type.getModifiers())
                && (type.getDeclaringClass() == null || Modifier.isStatic(type.getModifiers()))) {
            found.addAll(List.of(type.getDeclaredConstructors()));
        }
        found.removeIf(each -> !Modifier.isPublic(each.getModifiers()) || !usable(each));
        for (Executable each : found) {
            all.add(new Replaced(all.size(), packageName, each));
        }
    }

    private static boolean usable(Executable executable) {
        boolean all = executable.getParameterCount() <= MOST_PARAMETERS;
        for (Class<?> type : executable.getParameterTypes()) {
            Class<?> element = type;
            while (element.isArray()) {
                element = element.getComponentType();
            }
            all &= element.isPrimitive() || Modifier.isPublic(element.getModifiers());
        }
        return all;
    }

    private void compile(List<Replaced> all) throws IOException {
        List<String> files = new ArrayList<>();
        for (Replaced each : all) {
            Path file = folder.resolve("S" + each.number() + ".java");
            Files.writeString(file, source(each));
            files.add(file.toString());
        }
        List<String> options = List.of(
                "-nowarn",
                "-XDsuppressNotes",
                "-proc:none",
                "-d",
                folder.toString(),
                "-cp",
                System.getProperty("java.class.path"));
        DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(said, null, null)) {
            if (compiler.getTask(
                            null,
                            manager,
                            said,
                            options,
                            null,
                            manager.getJavaFileObjects(files.toArray(new String[0])))
                    .call()) {
                return;
            }
        }
        Set<String> preview = new HashSet<>();
        for (Diagnostic<? extends JavaFileObject> each : said.getDiagnostics()) {
            if (each.getKind() == Diagnostic.Kind.ERROR) {
                if (!each.getMessage(Locale.ROOT).contains("preview API") || preview.size() == all.size()) {
                    throw new IllegalStateException("The made-up callers do not compile: " + each);
                }
                preview.add(Path.of(each.getSource().getName()).getFileName().toString());
            }
        }
        // Preview features of this JDK are not available to ordinary code.
        all.removeIf(each -> preview.contains("S" + each.number() + ".java"));
        compile(all);
    }

    private static String source(Replaced each) {
        Executable executable = each.executable();
        List<String> free = new ArrayList<>();
        List<String> passed = new ArrayList<>();
        List<String> given = new ArrayList<>();
        for (Class<?> type : executable.getParameterTypes()) {
            String name = "p" + free.size();
            String written = type.getCanonicalName();
            free.add((type.isPrimitive() ? box(type) : written) + " " + name);
            passed.add("(" + written + ") " + name);
            given.add("(" + written + ") " + (type == boolean.class ? "false" : type.isPrimitive() ? "0" : "null"));
        }
        String call = executable instanceof Constructor
                ? "new " + executable.getDeclaringClass().getCanonicalName()
                : executable.getDeclaringClass().getCanonicalName() + "." + executable.getName();
        return """
                import dev.zelotype.Scene;
                import static dev.zelotype.Zelotype.suppose;
                @SuppressWarnings({"unchecked", "rawtypes", "deprecation", "removal"})
                public class S%d {
                    static final IllegalStateException TOLD = new IllegalStateException("told");
                    public static void main(String[] arguments) throws Throwable {
                        String said;
                        try (Scene scene = Scene.open()) {
                            said = tried();
                        } catch (dev.zelotype.error.MisuseException e) {
                            said = "refused " + e.getMessage().lines().findFirst().get();
                        }
                        System.out.println("RESULT " + said);
                        Runtime.getRuntime().halt(0);
                    }
                    static String tried() {
                        suppose((%s) -> %s(%s)).fails(TOLD);
                        try {
                            call();
                            return "wrong: the real one returned";
                        } catch (Throwable e) {
                            return e == TOLD ? "works" : "wrong: " + e;
                        }
                    }
                    static void call() throws Throwable { %s(%s); }
                }
                """.formatted(
                        each.number(),
                        String.join(", ", free),
                        call,
                        String.join(", ", passed),
                        call,
                        String.join(", ", given));
    }

    private static String box(Class<?> primitive) {
        return java.lang.invoke.MethodType.methodType(primitive)
                .wrap()
                .returnType()
                .getName();
    }

    private String tried(Replaced each) throws IOException, InterruptedException {
        Path printed = folder.resolve("S" + each.number() + ".txt");
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-javaagent:" + agent,
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        folder + File.pathSeparator + System.getProperty("java.class.path"),
                        "S" + each.number())
                .redirectErrorStream(true)
                .redirectOutput(printed.toFile())
                .start();
        if (!process.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            return "wrong: it does not end";
        }
        String said = Files.readString(printed, StandardCharsets.UTF_8);
        return said.lines()
                .filter(line -> line.startsWith("RESULT "))
                .map(line -> line.substring("RESULT ".length()))
                .findFirst()
                .orElse("wrong: " + said.lines().findFirst().orElse("nothing was printed"));
    }

    /** The results for one package. */
    private static final class Tally {
        private int works;
        private int nativeOnes;
        private int refused;
        private int wrong;

        @Override
        public String toString() {
            return works + " work (" + nativeOnes + " native), " + refused + " refused, " + wrong + " wrong";
        }
    }

    private final Map<String, String> refusals = new TreeMap<>();

    private void note(Replaced each, String said) {
        Tally tally = tallies.computeIfAbsent(each.packageName(), name -> new Tally());
        if (said.equals("works")) {
            tally.works++;
            tally.nativeOnes += Modifier.isNative(each.executable().getModifiers()) ? 1 : 0;
        } else if (said.startsWith("refused")) {
            tally.refused++;
            refusals.put(each.executable().toString(), said.substring("refused ".length()));
        } else {
            tally.wrong++;
            System.out.println("WRONG " + each.executable() + ": " + said);
        }
    }

    private String section() {
        StringBuilder rows = new StringBuilder();
        tallies.forEach((name, tally) -> rows.append("| `%s` | %d | %d | %d | %d |\n"
                .formatted(name, tally.works, tally.nativeOnes, tally.refused, tally.wrong)));
        StringBuilder reasons = new StringBuilder();
        refusals.forEach((method, reason) -> reasons.append("| `%s` | %s |\n".formatted(method, reason)));
        return """
                Tried on %s.

                | package | answered as set | of these native | refused | wrong |
                |---|---|---|---|---|
                %s
                Refused:

                | method | reason |
                |---|---|
                %s""".formatted(System.getProperty("java.version"), rows, reasons);
    }
}
