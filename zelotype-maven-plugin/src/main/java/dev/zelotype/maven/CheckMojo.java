package dev.zelotype.maven;

import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.GeneratedFile.State;
import dev.zelotype.generate.Generator;
import java.util.ArrayList;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Fails the build if doubles that are kept with the sources are out of date. Writes nothing.
 */
@Mojo(
        name = "check",
        defaultPhase = LifecyclePhase.PROCESS_TEST_SOURCES,
        requiresDependencyResolution = ResolutionScope.TEST,
        threadSafe = true)
public final class CheckMojo extends DoublesMojo {

    /** Called by Maven. */
    public CheckMojo() {}

    @Override
    void run() throws MojoExecutionException, MojoFailureException {
        Generator generator = generator();
        generator.addFrom(places(), only);
        int wrong = 0;
        for (GeneratedFile outcome : plan(generator, new ArrayList<>()).compare()) {
            if (outcome.state() != State.SAME) {
                wrong++;
                getLog().error(line(outcome));
                outcome.difference().forEach(changed -> getLog().error("  " + changed));
            }
        }
        if (wrong > 0) {
            throw new MojoFailureException(wrong + (wrong == 1 ? " double is" : " doubles are")
                    + " not as would be written now. Write them again with mvn zelotype:generate, and delete those"
                    + " whose type is gone.");
        }
    }
}
