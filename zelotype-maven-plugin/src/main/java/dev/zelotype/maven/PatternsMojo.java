package dev.zelotype.maven;

import dev.zelotype.host.PatternsInPlace;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.stream.Stream;
import org.apache.maven.plugin.AbstractMojo;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.project.MavenProject;

/**
 * Lets the patterns of compiled tests cost no lambda: what the compiler wrote down of each takes the lambda's place in the
 * class file, which the JVM then need not link. Classes that were changed before stay as they are; compiled again, they are
 * changed again.
 */
@Mojo(name = "patterns", defaultPhase = LifecyclePhase.PROCESS_TEST_CLASSES, threadSafe = true)
public final class PatternsMojo extends AbstractMojo {

    @Parameter(defaultValue = "${project}", readonly = true, required = true)
    MavenProject project;

    /** Whether to leave the classes as they were compiled. */
    @Parameter(property = "zelotype.patterns.skip", defaultValue = "false")
    boolean skip;

    /** Made by Maven. */
    public PatternsMojo() {}

    @Override
    public void execute() throws MojoExecutionException {
        Path classes = Path.of(project.getBuild().getTestOutputDirectory());
        if (skip || !Files.isDirectory(classes)) {
            return;
        }
        int changed = 0;
        try (Stream<Path> files = Files.walk(classes)) {
            List<Path> all =
                    files.filter(file -> file.toString().endsWith(".class")).toList();
            for (Path each : all) {
                changed += change(each) ? 1 : 0;
            }
        } catch (IOException e) {
            throw new MojoExecutionException(classes + " cannot be read or written: " + WholeFiles.reason(e) + ".", e);
        }
        getLog().info("Patterns cost no lambda in " + changed + (changed == 1 ? " class" : " classes") + ".");
    }

    private static boolean change(Path file) throws IOException {
        byte[] changed = PatternsInPlace.of(Files.readAllBytes(file));
        if (changed == null) {
            return false;
        }
        // Compilers tell by the time what is stale; nothing has become newer than its source.
        FileTime compiled = Files.getLastModifiedTime(file);
        WholeFiles.write(file, changed);
        Files.setLastModifiedTime(file, compiled);
        return true;
    }
}
