package dev.zelotype.maven;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.challenge.run.TestRun;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.Map;
import org.apache.maven.model.Build;
import org.apache.maven.model.Model;
import org.apache.maven.model.Plugin;
import org.apache.maven.project.MavenProject;
import org.codehaus.plexus.util.xml.Xpp3DomBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A challenge runs tests as the configuration of Surefire says.
 */
class BuildsTestRunTest {

    @TempDir
    Path folder;

    private TestRun runOf(String configuration, Map<String, String> properties) throws Exception {
        Plugin surefire = new Plugin();
        surefire.setArtifactId("maven-surefire-plugin");
        if (!configuration.isEmpty()) {
            surefire.setConfiguration(
                    Xpp3DomBuilder.build(new StringReader("<configuration>" + configuration + "</configuration>")));
        }
        Model model = new Model();
        model.setBuild(new Build());
        model.getBuild().addPlugin(surefire);
        MavenProject project = new MavenProject(model);
        project.setFile(folder.resolve("pom.xml").toFile());
        properties.forEach(project.getProperties()::setProperty);
        return new BuildsTestRun(project).testRun();
    }

    @Test
    void what_surefire_is_told_is_what_a_challenge_does() throws Exception {
        TestRun run = runOf("""
                <argLine>@{coverage} -Xmx1g "-Dtwo=a b"</argLine>
                <workingDirectory>night</workingDirectory>
                <systemPropertyVariables><site>north</site><late>@{port}</late></systemPropertyVariables>
                <environmentVariables><SITE>north</SITE></environmentVariables>
                <groups>fast, nightly</groups>
                <excludedGroups>broken</excludedGroups>
                <properties><configurationParameters>
                  site = north
                  a.b = c=d
                </configurationParameters></properties>
                """, Map.of("coverage", "-javaagent:coverage.jar", "port", "8080"));

        assertThat(run.folder()).isEqualTo(folder.resolve("night"));
        assertThat(run.jvmOptions())
                .containsExactly("-javaagent:coverage.jar", "-Xmx1g", "-Dtwo=a b", "-Dsite=north", "-Dlate=8080");
        assertThat(run.environment()).containsExactly(Map.entry("SITE", "north"));
        assertThat(run.parameters()).containsExactly("a.b=c=d", "site=north");
        assertThat(run.includedTags()).containsExactly("fast", "nightly");
        assertThat(run.excludedTags()).containsExactly("broken");
    }

    @Test
    void properties_of_the_build_count_where_the_plugin_says_nothing() throws Exception {
        TestRun run = runOf("", Map.of("argLine", "-Xmx1g @{missing}", "groups", "fast"));

        assertThat(run.folder()).isEqualTo(folder);
        assertThat(run.jvmOptions()).containsExactly("-Xmx1g");
        assertThat(run.includedTags()).containsExactly("fast");
        assertThat(run.environment()).isEmpty();
    }
}
