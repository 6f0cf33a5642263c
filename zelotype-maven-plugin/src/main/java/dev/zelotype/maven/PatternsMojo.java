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
 * Removes the lambdas of patterns from compiled test classes: a description of each lambda takes its place in the class
 * file, so that the JVM need not link it. Classes that were changed before are left alone; once compiled again, they
 * are changed again.
 */
@Mojo(name = "patterns", defaultPhase = LifecyclePhase.PROCESS_TEST_CLASSES, threadSafe = true)
public final class PatternsMojo extends AbstractMojo {

    @Parameter(defaultValue = "${project}", readonly = true, required = true)
    MavenProject project;

    /** Whether to leave the compiled classes alone. */
    @Parameter(property = "zelotype.patterns.skip", defaultValue = "false")
    boolean skip;

    /** Called by Maven. */
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
        // Compilers detect stale files by time; no class may become newer than its source.
        FileTime compiled = Files.getLastModifiedTime(file);
        WholeFiles.write(file, changed);
        Files.setLastModifiedTime(file, compiled);
        return true;
    }
}
