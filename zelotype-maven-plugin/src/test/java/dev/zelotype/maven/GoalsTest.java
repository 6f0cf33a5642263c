package dev.zelotype.maven;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.maven.model.Build;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
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
