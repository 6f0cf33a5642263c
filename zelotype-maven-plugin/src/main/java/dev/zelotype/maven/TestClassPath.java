package dev.zelotype.maven;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.maven.artifact.DependencyResolutionRequiredException;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.project.MavenProject;

/**
 * The class path of a project's tests.
 */
final class TestClassPath {

    private TestClassPath() {}

    /** The existing folders and jars. */
    static List<Path> of(MavenProject project) throws MojoExecutionException {
        try {
            return project.getTestClasspathElements().stream()
                    .map(Path::of)
                    .filter(Files::exists)
                    .toList();
        } catch (DependencyResolutionRequiredException e) {
            throw new MojoExecutionException("The test class path is not known yet.", e);
        }
    }
}
