package dev.zelotype.maven;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.apache.maven.model.Build;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugin.logging.SystemStreamLog;
import org.apache.maven.project.MavenProject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The goals write doubles from the sources of a project, and detect outdated ones.
 */
class GoalsTest {

    @TempDir
    Path folder;

    private <M extends DoublesMojo> M configured(M goal) {
        Build build = new Build();
        build.setDirectory(folder.resolve("target").toString());
        build.setSourceDirectory(folder.resolve("src").toString());
        build.setOutputDirectory(folder.resolve("target/classes").toString());
        build.setTestOutputDirectory(folder.resolve("target/test-classes").toString());
        goal.project = new MavenProject();
        goal.project.setBuild(build);
        goal.only = "*";
        goal.styles = List.of("stub", "spy");
        goal.into = folder.resolve("doubles").toFile();
        return goal;
    }

    private void source(String code) throws IOException {
        Files.writeString(Files.createDirectories(folder.resolve("src/sky")).resolve("Dome.java"), code);
    }

    @Test
    void doubles_are_written_checked_and_missed_when_stale() throws Exception {
        source("package sky; public interface Dome { void open(); }");
        CheckMojo check = configured(new CheckMojo());
        assertThatThrownBy(check::execute)
                .isInstanceOf(MojoFailureException.class)
                .hasMessageStartingWith("2 doubles are not as would be written now.");

        GenerateMojo generate = configured(new GenerateMojo());
        generate.execute();
        assertThat(generate.project.getTestCompileSourceRoots())
                .containsExactly(folder.resolve("doubles").toString());
        assertThat(folder.resolve("doubles/sky/DomeStub.java"))
                .content()
                .contains("To write it again: mvn zelotype:generate");
        check.execute();

        Path spy = folder.resolve("doubles/sky/DomeSpy.java");
        Files.writeString(spy, Files.readString(spy) + "// mine\n");
        assertThatThrownBy(generate::execute)
                .isInstanceOf(MojoFailureException.class)
                .hasMessageContaining("Files edited by hand were left as they are.");
        generate.force = true;
        generate.execute();
        check.execute();

        source("package sky; public interface Dome { void open(); void close(); }");
        assertThatThrownBy(check::execute).isInstanceOf(MojoFailureException.class);
        check.skip = true;
        check.execute();
    }

    @Test
    void patterns_of_compiled_tests_are_put_in_their_place_once() throws Exception {
        Path classes = Files.createDirectories(folder.resolve("target/test-classes"));
        Path source = Files.writeString(folder.resolve("NightTest.java"), """
                import static dev.zelotype.Zelotype.*;
                import dev.zelotype.Scene;
                public class NightTest {
                    public interface Dome { boolean isOpen(String name); }
                    public static boolean run() {
                        try (Scene scene = Scene.open()) {
                            Dome dome = stub(Dome.class);
                            suppose((String name) -> dome.isOpen(name)).returns(true);
                            return dome.isOpen("north");
                        }
                    }
                }
                """);
        ThrowingRunnable compile = () -> assertThat(ToolProvider.getSystemJavaCompiler()
                        .run(null, null, null, "-d", classes.toString(), source.toString()))
                .isZero();
        compile.run();
        Path file = classes.resolve("NightTest.class");
        Files.setLastModifiedTime(file, FileTime.from(Instant.EPOCH));
        byte[] compiled = Files.readAllBytes(file);
        PatternsMojo goal = new PatternsMojo();
        goal.project = configured(new GenerateMojo()).project;
        goal.skip = true;
        goal.execute();
        assertThat(file).hasBinaryContent(compiled);
        goal.skip = false;
        goal.execute();
        byte[] changed = Files.readAllBytes(file);
        goal.execute();
        assertThat(file).as("once more").hasBinaryContent(changed);
        assertThat(Files.getLastModifiedTime(file)).isEqualTo(FileTime.from(Instant.EPOCH));
        assertThat(classes).isDirectoryNotContaining(other -> other.toString().endsWith(".tmp"));
        try (URLClassLoader loader = new URLClassLoader(
                new URL[] {classes.toUri().toURL()}, getClass().getClassLoader())) {
            Class<?> test = loader.loadClass("NightTest");
            assertThat(test.getMethod("run").invoke(null)).isEqualTo(true);
            assertThat(test.getDeclaredMethods())
                    .anyMatch(method -> method.getName().startsWith("zelotype$pattern$"));
        }
        compile.run();
        assertThat(file).as("compiled again").hasBinaryContent(compiled);
    }

    /** Changes that could change a double, or have changed one, and what must be true before the next run. */
    @Test
    void a_run_is_spared_only_if_nothing_has_changed() throws Exception {
        source("package sky; public interface Dome { void open(); }");
        Path stub = folder.resolve("doubles/sky/DomeStub.java");
        Path library = Files.writeString(
                Files.createDirectories(folder.resolve("target/classes")).resolve("Made.class"), "1");
        Path memory = folder.resolve("target/zelotype/written-by-command.txt");
        Map<String, ThrowingRunnable> changes = new LinkedHashMap<>();
        changes.put("the first run", () -> {});
        changes.put(
                "a source changes", () -> source("package sky; public interface Dome { void close(); void open(); }"));
        changes.put(
                "a source is added",
                () -> Files.writeString(folder.resolve("src/sky/Mount.java"), "package sky; interface Mount {}"));
        changes.put("a source is gone", () -> Files.delete(folder.resolve("src/sky/Mount.java")));
        changes.put(
                "a source without types is added",
                () -> Files.writeString(folder.resolve("src/sky/Empty.java"), "package sky;"));
        changes.put("the class path changes", () -> Files.writeString(library, "2"));
        changes.put("a double is gone", () -> Files.delete(stub));
        changes.put("the memory is unreadable", () -> Files.writeString(memory, "?"));
        changes.put("the memory is gone", () -> Files.delete(memory));
        for (Map.Entry<String, ThrowingRunnable> change : changes.entrySet()) {
            change.getValue().run();
            assertThat(logOf(configured(new GenerateMojo())))
                    .as(change.getKey())
                    .anyMatch(line -> line.contains("files written into"));
            assertThat(stub).exists();
            assertThat(logOf(configured(new GenerateMojo())))
                    .as("after: " + change.getKey())
                    .noneMatch(line -> line.contains("files written into"))
                    .anyMatch(line -> line.startsWith("Nothing has changed since the files in "));
        }
        Files.setLastModifiedTime(library, FileTime.fromMillis(0));
        Files.createDirectories(library.resolveSibling("sky"));
        Files.writeString(library.resolveSibling("sky").resolve("Dome.class"), "compiled of a source that is known");
        assertThat(logOf(configured(new GenerateMojo()))).anyMatch(line -> line.startsWith("Nothing has changed"));
        GenerateMojo other = configured(new GenerateMojo());
        other.styles = List.of("base");
        assertThat(logOf(other)).anyMatch(line -> line.contains("files written into"));

        Path jar = folder.resolve("sky-sources.jar");
        try (FileSystem files = FileSystems.newFileSystem(jar, Map.of("create", "true"))) {
            Files.writeString(files.getPath("Mast.java"), "public interface Mast { int height(); }");
        }
        other.from = List.of(jar.toFile(), folder.resolve("src").toFile());
        assertThat(logOf(other)).anyMatch(line -> line.contains("files written into"));
        Files.setLastModifiedTime(jar, FileTime.fromMillis(0));
        assertThat(logOf(other)).anyMatch(line -> line.startsWith("Nothing has changed"));
        try (FileSystem files = FileSystems.newFileSystem(jar)) {
            Files.writeString(files.getPath("Mast.java"), "public interface Mast { int length(); }");
        }
        assertThat(logOf(other)).anyMatch(line -> line.contains("files written into"));
    }

    /**
     * Sources that refer to each other in various ways are edited at random. Each run writes what a run without stored
     * state would write, or fails in the same way, and reads less.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void a_run_that_reads_only_what_changed_writes_what_a_whole_one_would(long seed) throws Exception {
        // The compiler resolves links, so its paths differ from the given ones.
        folder = Files.createSymbolicLink(folder.resolve("link"), Files.createDirectory(folder.resolve("real")));
        Random random = new Random(seed);
        for (int i = 0; i < EDITED; i++) {
            edit(random, i, 0);
        }
        int runs = 0;
        int read = 0;
        for (int step = 1; step <= 20; step++) {
            for (int edits = random.nextInt(3); edits >= 0 && step > 1; edits--) {
                edit(random, random.nextInt(EDITED), step);
            }
            GenerateMojo whole = configured(new GenerateMojo());
            whole.project.getBuild().setDirectory(folder.resolve("whole" + step).toString());
            whole.into = folder.resolve("doubles" + step).toFile();
            List<String> expected = said(whole);
            GenerateMojo part = configured(new GenerateMojo());
            List<String> said = said(part);

            assertThat(said.stream().filter(LEFT_OUT_OR_FAILED).toList())
                    .as("step " + step)
                    .containsExactlyInAnyOrderElementsOf(
                            expected.stream().filter(LEFT_OUT_OR_FAILED).toList());
            if (!expected.toString().contains("failed: ")) {
                Map<String, String> wanted = doubles(whole.into.toPath());
                Map<String, String> written = doubles(part.into.toPath());
                assertThat(written).as("step " + step).containsAllEntriesOf(wanted);
                written.keySet().removeAll(wanted.keySet());
                assertThat(written.keySet())
                        .allSatisfy(gone -> assertThat(said)
                                .contains("its type is gone: "
                                        + part.into.toPath().resolve(gone)));
                runs++;
                read += sourcesRead(said);
            }
        }
        assertThat(runs).isGreaterThan(10);
        assertThat(read).isBetween(runs, runs * EDITED * 9 / 10);
    }

    private static final int EDITED = 10;
    private static final Predicate<String> LEFT_OUT_OR_FAILED =
            line -> line.startsWith("left out: ") || line.startsWith("failed: ");

    private static List<String> said(GenerateMojo goal) throws Exception {
        try {
            return logOf(goal);
        } catch (MojoExecutionException e) {
            return List.of("failed: " + e.getMessage());
        }
    }

    private static int sourcesRead(List<String> said) {
        return said.stream()
                .filter(line -> line.startsWith("Source files read: "))
                .mapToInt(line -> Integer.parseInt(line.replaceAll("\\D*(\\d+);.*", "$1")))
                .sum();
    }

    private static Map<String, String> doubles(Path root) throws IOException {
        Map<String, String> doubles = new TreeMap<>();
        try (Stream<Path> all = Files.walk(root)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                doubles.put(root.relativize(file).toString(), Files.readString(file));
            }
        }
        return doubles;
    }

    private static String packageOf(int number) {
        return number % 3 == 0 ? "sea" : "sky";
    }

    /** Rewrites one of the sources: it may refer to any other, and extend those before it. */
    private void edit(Random random, int number, int step) throws IOException {
        int other = random.nextInt(EDITED);
        String named = switch (random.nextInt(3)) {
            case 0 -> "import sea.*; import sky.*;";
            case 1 -> "import java.util.*; import " + packageOf(other) + ".T" + other + ";";
            default -> "";
        };
        String mentioned = (named.isEmpty() ? packageOf(other) + "." : "") + "T" + other;
        boolean isClass = random.nextInt(20) == 0;
        int above = number == 0 ? 0 : random.nextInt(number);
        StringBuilder code = new StringBuilder("package " + packageOf(number) + "; " + named + "\n");
        code.append(random.nextInt(4) == 0 ? "@Deprecated " : "")
                .append(isClass ? "public final class T" : "public interface T")
                .append(number);
        if (number > 0 && random.nextInt(3) > 0) {
            code.append(isClass ? " implements " : " extends ").append(packageOf(above) + ".T" + above);
        }
        code.append(" {\n    ")
                .append(isClass ? "public abstract class" : "interface")
                .append(" Inner");
        code.append(random.nextInt(20) == 0 ? 2 : 1).append(" {}\n");
        for (int m = random.nextInt(3); m >= 0; m--) {
            String type = random.nextBoolean() ? mentioned : "java.util.List<? extends " + mentioned + ">";
            code.append("    ").append(isClass ? "public native " : "").append(type);
            code.append(" m")
                    .append(m + 3 * number)
                    .append("(")
                    .append(mentioned)
                    .append(" given);\n");
        }
        if (!isClass && random.nextInt(3) == 0) {
            code.append("    default void run() { new StringBuilder(\"" + step + "\"); }\n");
        }
        if (random.nextInt(40) == 0) {
            code.append("    Missing").append(" missing();\n");
        }
        Path file = Files.createDirectories(folder.resolve("src/" + packageOf(number)))
                .resolve("T" + number + ".java");
        Files.writeString(file, code.append("}\n"));
        Files.setLastModifiedTime(
                file, FileTime.from(Instant.parse("2026-01-01T00:00:00Z").plusSeconds(step)));
    }

    @Test
    void only_sources_that_changed_or_depend_on_changed_ones_are_read() throws Exception {
        Map<String, String> sky = new LinkedHashMap<>();
        sky.put("Turning", "package sky; public interface Turning { void turn(); }");
        sky.put("Dome", "package sky; public interface Dome extends Turning { void open(); }");
        sky.put("Hall", "package sky; public interface Hall extends Dome { Camera camera(); }");
        sky.put("Camera", "package sky; public interface Camera { void expose(); }");
        sky.put("Night", "package sky; public class Night { void run(Hall hall) { hall.camera().expose(); } }");
        Path root = Files.createDirectories(folder.resolve("src/sky"));
        for (Map.Entry<String, String> each : sky.entrySet()) {
            Files.writeString(root.resolve(each.getKey() + ".java"), each.getValue());
        }
        assertThat(sourcesRead(said(configured(new GenerateMojo())))).isEqualTo(5);

        Map<String, Integer> readIfChanged = Map.of("Night", 1, "Hall", 2, "Camera", 3, "Dome", 3, "Turning", 4);
        for (Map.Entry<String, Integer> each : readIfChanged.entrySet()) {
            Files.writeString(root.resolve(each.getKey() + ".java"), sky.get(each.getKey()) + " // " + each.getKey());
            List<String> said = said(configured(new GenerateMojo()));
            assertThat(sourcesRead(said)).as(each.getKey()).isEqualTo(each.getValue());
        }
        Files.delete(folder.resolve("doubles/sky/CameraSpy.java"));
        assertThat(said(configured(new GenerateMojo())))
                .anyMatch(line -> line.startsWith("Source files read: 3; 1 of 8"));
        // A new name may change the meaning of names anywhere.
        Files.writeString(root.resolve("Night.java"), "package sky; class Night { interface Log {} }");
        assertThat(said(configured(new GenerateMojo())))
                .anyMatch(line -> line.startsWith("Source files read: 5; 2 of 10"));
    }

    /** A run without changes repeats the messages of the run before. */
    @Test
    void warnings_are_not_lost_with_the_work() throws Exception {
        source("package sky; public interface Dome { void open(); }");
        GenerateMojo generate = configured(new GenerateMojo());
        generate.types = List.of("java.lang.Comparable", "java.lang.String");
        List<String> first = logOf(generate);
        assertThat(first).anyMatch(line -> line.startsWith("left out: java.lang.String"));
        assertThat(logOf(generate))
                .contains(first.get(0))
                .anyMatch(line -> line.startsWith("Nothing has changed since"));
    }

    private interface ThrowingRunnable {
        void run() throws Exception;
    }

    private static List<String> logOf(DoublesMojo goal) throws Exception {
        List<String> lines = new ArrayList<>();
        goal.setLog(new SystemStreamLog() {
            @Override
            public void info(CharSequence content) {
                lines.add(content.toString());
            }

            @Override
            public void warn(CharSequence content) {
                lines.add(content.toString());
            }
        });
        goal.execute();
        return lines;
    }

    @Test
    void types_by_name_and_wrong_configuration() throws Exception {
        GenerateMojo generate = configured(new GenerateMojo());
        generate.types = List.of("java.util.concurrent.Call*");
        generate.packageName = "doubles";
        generate.execute();
        assertThat(folder.resolve("doubles/doubles/CallableSpy.java")).exists();

        generate.styles = List.of("stubb");
        assertThatThrownBy(generate::execute)
                .isInstanceOf(MojoExecutionException.class)
                .hasMessageContaining(
                        "Unknown style 'stubb': give base, stub, strict, spy, fake, working-fake or linked.");
        generate.styles = List.of("stub");
        generate.from = List.of(new File("no/such/place"));
        assertThatThrownBy(generate::execute)
                .isInstanceOf(MojoExecutionException.class)
                .hasMessageContaining("no/such/place");
    }
}
