package dev.zelotype.maven;

import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Outcome;
import dev.zelotype.generate.Outcome.State;
import java.util.List;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Writes doubles as plain Java source, to be compiled with the tests. Files that are up to date are not touched.
 */
@Mojo(
        name = "generate",
        defaultPhase = LifecyclePhase.GENERATE_TEST_SOURCES,
        requiresDependencyResolution = ResolutionScope.TEST,
        threadSafe = true)
public final class GenerateMojo extends DoublesMojo {

    /** Also overwrites files that were edited by hand. */
    @Parameter(property = "zelotype.force", defaultValue = "false")
    boolean force;

    /** Made by Maven. */
    public GenerateMojo() {}

    @Override
    void handle(Generator.Plan plan) throws MojoFailureException {
        List<Outcome> outcomes = plan.write(force);
        boolean edited = false;
        boolean inTheWay = false;
        int written = 0;
        for (Outcome outcome : outcomes) {
            if (outcome.state().isWritten(force)) {
                written++;
            } else if (outcome.state() != State.SAME) {
                getLog().warn(line(outcome));
            }
            edited |= outcome.state() == State.EDITED && !force;
            inTheWay |= outcome.state() == State.FOREIGN;
        }
        getLog().info(written + " of " + outcomes.size() + " files written into " + into);
        if (inTheWay) {
            throw new MojoFailureException("Files that were never generated stand in the way and stay, even with"
                    + " -Dzelotype.force. Move them, or configure another folder or package.");
        }
        if (edited) {
            throw new MojoFailureException("Files edited by hand were left as they are."
                    + " Overwrite them with -Dzelotype.force, or take their types out of the configuration.");
        }
        project.addTestCompileSourceRoot(into.getPath());
    }
}
