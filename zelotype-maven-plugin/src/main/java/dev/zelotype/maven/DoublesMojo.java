package dev.zelotype.maven;

import dev.zelotype.generate.GenerateException;
import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Style;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import org.apache.maven.plugin.AbstractMojo;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.project.MavenProject;

/**
 * What both goals share: the types to write doubles for, and the output folder.
 */
abstract class DoublesMojo extends AbstractMojo {

    private static final String AGAIN = "mvn zelotype:generate";

    @Parameter(defaultValue = "${project}", readonly = true, required = true)
    MavenProject project;

    /**
     * Source files, folders of them, folders of class files, or jars. By default the main sources, unless types are
     * given.
     */
    @Parameter
    List<File> from;

    /**
     * Selects the types whose qualified name matches one of these, separated by commas; {@code *} matches anything.
     */
    @Parameter(defaultValue = "*")
    String only;

    /** Types of the test class path or of the JDK; {@code *} matches anything in the last part of a name. */
    @Parameter
    List<String> types;

    /** The kinds of doubles: base, stub, strict, spy, fake, working-fake, linked. */
    @Parameter(defaultValue = "stub")
    List<String> styles;

    /** The root folder of the written sources; it is added to the test sources. */
    @Parameter(defaultValue = "${project.build.directory}/generated-test-sources/zelotype")
    File into;

    /** The package of the doubles; by default that of each type. */
    @Parameter
    String packageName;

    /** Marks written doubles with {@code javax.annotation.processing.Generated}, for null checkers and linters. */
    @Parameter(defaultValue = "false")
    boolean markGenerated;

    /** Skips the goal. */
    @Parameter(property = "zelotype.skip", defaultValue = "false")
    boolean skip;

    @Override
    public final void execute() throws MojoExecutionException, MojoFailureException {
        if (skip) {
            getLog().info("Left out.");
            return;
        }
        try {
            run();
        } catch (GenerateException e) {
            throw new MojoExecutionException(e.getMessage(), e);
        }
    }

    abstract void run() throws MojoExecutionException, MojoFailureException;

    final Generator generator() throws MojoExecutionException {
        Generator generator = new Generator(
                TestClassPath.of(project),
                (doing, done, total) -> getLog().debug(doing + ": " + done + " of " + total));
        return markGenerated ? generator.markingGenerated() : generator;
    }

    /**
     * Plans the doubles of the generator's types, and of those given by name. Remarks are added to the notes and
     * logged.
     */
    final Generator.Plan plan(Generator generator, List<String> notes) {
        if (areTypesGiven()) {
            generator.addTypes(types);
        }
        Generator.Plan plan =
                generator.plan(Style.ofWords(styles), packageName == null ? "" : packageName, into.toPath(), AGAIN);
        generator.leftOut().forEach(reason -> notes.add("left out: " + reason));
        notes.addAll(generator.hints());
        notes.forEach(getLog()::warn);
        return plan;
    }

    /** The places that types are read from, apart from the class path. */
    final List<Path> places() {
        if (from != null && !from.isEmpty()) {
            return from.stream().map(File::toPath).toList();
        }
        return areTypesGiven() ? List.of() : List.of(Path.of(project.getBuild().getSourceDirectory()));
    }

    private boolean areTypesGiven() {
        return types != null && !types.isEmpty();
    }

    /** A file and its state, for the log. */
    static String line(GeneratedFile outcome) {
        return outcome.state().words() + ": " + outcome.file();
    }
}
