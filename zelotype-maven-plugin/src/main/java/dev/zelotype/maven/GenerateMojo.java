package dev.zelotype.maven;

import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.GeneratedFile.State;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.LastRun;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.maven.plugin.MojoExecution;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Writes doubles as plain Java source, to be compiled with the tests. Files that are up to date are not touched. If
 * nothing has changed since the last run, nothing is read; if a few source files have changed, only those and the ones
 * that depend on them.
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

    @Parameter(defaultValue = "${mojoExecution}", readonly = true)
    MojoExecution execution;

    /** Called by Maven. */
    public GenerateMojo() {}

    @Override
    void run() throws MojoExecutionException, MojoFailureException {
        LastRun last = new LastRun(memory(), settings(), classPath(), places());
        if (last.isStillRight() && !force) {
            last.notes().forEach(getLog()::warn);
            getLog().info("Nothing has changed since the files in " + into + " were written: "
                    + last.outputs().size());
        } else {
            write(last);
        }
        project.addTestCompileSourceRoot(into.getPath());
    }

    private void write(LastRun last) throws MojoExecutionException, MojoFailureException {
        List<String> notes = new ArrayList<>();
        Generator generator = generator();
        int read = last.addTo(generator, only);
        Generator.Plan plan = plan(generator, notes);
        List<GeneratedFile> outcomes = plan.write(force);
        boolean edited = false;
        boolean inTheWay = false;
        int written = 0;
        for (GeneratedFile outcome : outcomes) {
            if (outcome.state().isWritten(force)) {
                written++;
            } else if (outcome.state() != State.SAME) {
                notes.add(line(outcome));
                getLog().warn(line(outcome));
            }
            edited |= outcome.state() == State.EDITED && !force;
            inTheWay |= outcome.state() == State.FOREIGN;
        }
        getLog().info("Source files read: " + read + "; " + written + " of " + plan.size() + " files written into "
                + into);
        if (inTheWay) {
            throw new MojoFailureException("Files that were never generated block the output and stay, even with"
                    + " -Dzelotype.force. Move them, or configure another folder or package.");
        }
        if (edited) {
            throw new MojoFailureException("Files edited by hand were left as they are."
                    + " Overwrite them with -Dzelotype.force, or take their types out of the configuration.");
        }
        last.remember(generator, plan, outcomes, notes);
    }

    private Path memory() {
        return Path.of(
                project.getBuild().getDirectory(),
                "zelotype",
                "written-by-" + (execution == null ? "command" : execution.getExecutionId()) + ".txt");
    }

    private List<String> settings() {
        return Stream.of(only, types, styles, into, packageName, markGenerated)
                .map(String::valueOf)
                .toList();
    }

    /** Without the folder of compiled tests: in this phase of a fresh build it is empty. */
    private List<Path> classPath() throws MojoExecutionException {
        Path tests = Path.of(project.getBuild().getTestOutputDirectory());
        return TestClassPath.of(project).stream()
                .filter(place -> !place.equals(tests))
                .toList();
    }
}
