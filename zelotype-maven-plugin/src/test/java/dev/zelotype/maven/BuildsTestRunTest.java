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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A challenge runs tests as configured for Surefire.
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

    /** The configuration, a class, and whether its tests run. */
    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = ';', nullValues = "-", textBlock = """
            -                                                           ; dev.observatory.NightRunTest        ; true
            -                                                           ; dev.observatory.TestNight           ; true
            -                                                           ; NightTests                          ; true
            -                                                           ; dev.observatory.NightRunIT          ; false
            -                                                           ; dev.observatory.NightRun            ; false
            -                                                           ; dev.observatory.NightRunTest$Fields ; false
            <includes><include>**/*Check.java</include></includes>      ; dev.observatory.DomeCheck           ; true
            <includes><include>**/*Check.java</include></includes>      ; dev.observatory.DomeTest            ; false
            <includes><include>*Spec, **/night/**</include></includes>  ; dev.observatory.DomeSpec            ; true
            <includes><include>*Spec, **/night/**</include></includes>  ; dev.night.deep.Anything             ; true
            <includes><include>dev/night/N?ght*.class</include></includes> ; dev.night.Nights                 ; true
            <includes><include>dev/night/N?ght*.class</include></includes> ; dev.night.deep.Nights            ; false
            <includes><include>%regex[.*Slow.*]</include></includes>    ; dev.night.VerySlowOnes              ; true
            <includes><include>!**/Slow*</include></includes>           ; dev.night.SlowTest                  ; false
            <includes><include>!**/Slow*</include></includes>           ; dev.night.QuickTest                 ; true
            <excludes><exclude>**/Slow*.java</exclude></excludes>       ; dev.night.SlowTest                  ; false
            <excludes><exclude>**/Slow*.java</exclude></excludes>       ; dev.night.QuickTest                 ; true
            """)
    void the_classes_of_the_build_are_challenged(String configuration, String type, boolean runs) throws Exception {
        assertThat(runOf(configuration == null ? "" : configuration, Map.of()).runs(type))
                .isEqualTo(runs);
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
