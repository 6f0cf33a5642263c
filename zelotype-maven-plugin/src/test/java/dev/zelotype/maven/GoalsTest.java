package dev.zelotype.maven;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.maven.model.Build;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugin.logging.SystemStreamLog;
import org.apache.maven.project.MavenProject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The goals write doubles from a project's own sources, and notice what is out of date.
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
                .contains("Write it anew with: mvn zelotype:generate");
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

    /** Each change that could change a double, or has changed one, and what must be so before the run that follows. */
    @Test
    void a_run_is_spared_only_if_nothing_has_changed() throws Exception {
        source("package sky; public interface Dome { void open(); }");
        Path stub = folder.resolve("doubles/sky/DomeStub.java");
        Path library = Files.writeString(
                Files.createDirectories(folder.resolve("target/classes")).resolve("a.txt"), "1");
        Path memory = folder.resolve("target/zelotype/written-by-command.txt");
        Map<String, ThrowingRunnable> changes = new LinkedHashMap<>();
        changes.put("the first run", () -> {});
        changes.put(
                "a source changes", () -> source("package sky; public interface Dome { void close(); void open(); }"));
        changes.put(
                "a source is added",
                () -> Files.writeString(folder.resolve("src/sky/Mount.java"), "package sky; interface Mount {}"));
        changes.put("a source is gone", () -> Files.delete(folder.resolve("src/sky/Mount.java")));
        changes.put("the class path changes", () -> Files.writeString(library, "22"));
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
        GenerateMojo other = configured(new GenerateMojo());
        other.styles = List.of("base");
        assertThat(logOf(other)).anyMatch(line -> line.contains("files written into"));
    }

    /** What a run had to say is said again by the one that is spared. */
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
                .hasMessageContaining("There is no style 'stubb': give base, stub, strict, spy, fake or linked.");
        generate.styles = List.of("stub");
        generate.from = List.of(new File("no/such/place"));
        assertThatThrownBy(generate::execute)
                .isInstanceOf(MojoExecutionException.class)
                .hasMessageContaining("no/such/place");
    }
}
