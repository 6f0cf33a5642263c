package dev.zelotype.maven;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeJournal;
import dev.zelotype.challenge.ChallengeText;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.kept.Shard;
import dev.zelotype.challenge.run.TestRun;
import dev.zelotype.journal.JournalWriter;
import java.io.File;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.inject.Inject;
import org.apache.maven.artifact.Artifact;
import org.apache.maven.execution.MavenSession;
import org.apache.maven.plugin.AbstractMojo;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;
import org.apache.maven.project.MavenProject;
import org.eclipse.aether.RepositorySystem;
import org.eclipse.aether.artifact.DefaultArtifact;
import org.eclipse.aether.collection.CollectRequest;
import org.eclipse.aether.graph.Dependency;
import org.eclipse.aether.resolution.ArtifactResult;
import org.eclipse.aether.resolution.DependencyRequest;
import org.eclipse.aether.resolution.DependencyResolutionException;

/**
 * Checks whether the tests can fail: runs them repeatedly in separate JVMs, each time with one change between a subject
 * and its doubles, and reports which changes no test noticed.
 */
@Mojo(
        name = "challenge",
        defaultPhase = LifecyclePhase.VERIFY,
        requiresDependencyResolution = ResolutionScope.TEST,
        threadSafe = true)
public final class ChallengeMojo extends AbstractMojo {

    private static final String PLATFORM = "org.junit.platform";
    private static final String JUPITER = "org.junit.jupiter";

    @Inject
    RepositorySystem repositories;

    @Parameter(defaultValue = "${project}", readonly = true, required = true)
    MavenProject project;

    @Parameter(defaultValue = "${session}", readonly = true, required = true)
    MavenSession session;

    @Parameter(defaultValue = "${plugin.artifacts}", readonly = true, required = true)
    List<Artifact> pluginArtifacts;

    /** Test classes whose qualified name matches one of these, separated by commas; {@code *} matches anything. */
    @Parameter(property = "zelotype.challenge.class", defaultValue = "*")
    String classes;

    /** Tests with this text in their name. */
    @Parameter(property = "zelotype.challenge.test", defaultValue = "")
    String test;

    /** Calls that need no check, for example {@code NightLog.append}, separated by commas. */
    @Parameter(property = "zelotype.challenge.except", defaultValue = "")
    String except;

    /** Calls that are listed separately and do not count, in addition to those of logging, metrics and audit. */
    @Parameter(property = "zelotype.challenge.minor", defaultValue = "")
    String minor;

    /** In how many JVMs tests run side by side; by default one per processor. */
    @Parameter(property = "zelotype.challenge.jvms")
    Integer jvms;

    /**
     * What is changed: answer, lost, argument, callback, twice, result, extra, thrown, silent, order; by default all
     * except order.
     */
    @Parameter
    List<String> changes;

    /** The limit of the total time in seconds; the findings until then are reported. No limit by default. */
    @Parameter(property = "zelotype.challenge.limit")
    Double limit;

    /** Fails the build if any test notices fewer than this percentage of the disturbed places. */
    @Parameter(property = "zelotype.challenge.failUnder", defaultValue = "0")
    double failUnder;

    /** A folder in which the findings are recorded as well, for a report; for example that of the tests' journal. */
    @Parameter(property = "zelotype.challenge.journal")
    File journal;

    /** One part of the tests, for example {@code 3/8}, if other machines challenge the others; needs a journal. */
    @Parameter(property = "zelotype.challenge.shard")
    String shard;

    /**
     * The journal of an earlier challenge, whose times are used to distribute the tests; must be the same for all
     * shards.
     */
    @Parameter(property = "zelotype.challenge.times")
    File times;

    /** Whether to reuse runs of an earlier challenge in the journal, if nothing in them has changed. */
    @Parameter(property = "zelotype.challenge.reuse", defaultValue = "false")
    boolean reuse;

    /** JVM options for the tests; by default those of the build's own test runs. */
    @Parameter
    List<String> jvmArguments;

    /** Skips the goal. */
    @Parameter(property = "zelotype.skip", defaultValue = "false")
    boolean skip;

    /** Called by Maven. */
    public ChallengeMojo() {}

    @Override
    public void execute() throws MojoExecutionException, MojoFailureException {
        if (skip || !new File(project.getBuild().getTestOutputDirectory()).isDirectory()) {
            getLog().info(skip ? "Left out." : "No test classes were found.");
            return;
        }
        if (!(failUnder >= 0 && failUnder <= 100)) {
            throw new MojoExecutionException("failUnder must be between 0 and 100, but was " + failUnder + ".");
        }
        try {
            Challenge challenge = new Challenge(classPath())
                    .from(List.of(Path.of(project.getBuild().getTestOutputDirectory())))
                    .onlyClasses(classes)
                    .onlyTests(test == null ? "" : test)
                    .except(except == null ? "" : except)
                    .minor(minor == null ? "" : minor)
                    .jvms(jvms == null ? Runtime.getRuntime().availableProcessors() : jvms)
                    .changes(ChangeKind.ofWords(changes == null ? List.of() : changes))
                    .runningAs(testRun());
            if (limit != null) {
                challenge.within(Duration.ofMillis((long) (limit * 1000)));
            }
            if (shard != null && (journal == null || failUnder > 0)) {
                throw new MojoExecutionException(
                        "A shard needs a journal, and no failUnder: zelotype challenge --merge gives the figure of all.");
            }
            if (shard != null) {
                challenge.shard(Shard.of(shard), times == null ? null : times.toPath());
            }
            if (journal != null) {
                challenge.keeping(journal.toPath(), reuse);
            }
            ChallengeResult result = challenge.run((done, all) -> getLog().debug(done + " of " + all + " runs"));
            ChallengeText.lines(result).forEach(getLog()::info);
            if (journal != null && shard == null) {
                new JournalWriter(journal.toPath(), null).write(ChallengeJournal.of(result));
            }
            String shortfall = ChallengeText.shortfall(result, failUnder);
            if (!shortfall.isEmpty()) {
                throw new MojoFailureException(shortfall);
            }
        } catch (ChallengeException e) {
            throw new MojoExecutionException(e.getMessage(), e);
        }
    }

    private TestRun testRun() {
        TestRun run = new BuildsTestRun(project).testRun();
        return jvmArguments == null || jvmArguments.isEmpty() ? run : run.withJvmOptions(jvmArguments);
    }

    /**
     * The tests' own class path, completed by JUnit's launcher and engine in the same version, and by the challenge.
     */
    private List<Path> classPath() throws MojoExecutionException {
        Set<Path> path = new LinkedHashSet<>(TestClassPath.of(project));
        String api = version(JUPITER, "junit-jupiter-api");
        if (api != null && version(JUPITER, "junit-jupiter-engine") == null) {
            path.addAll(resolved(JUPITER, "junit-jupiter-engine", api));
        }
        String commons = version(PLATFORM, "junit-platform-commons");
        if (commons != null && version(PLATFORM, "junit-platform-launcher") == null) {
            path.addAll(resolved(PLATFORM, "junit-platform-launcher", commons));
        }
        for (Artifact artifact : pluginArtifacts) {
            if (artifact.getArtifactId().equals("zelotype-challenge")) {
                path.add(artifact.getFile().toPath());
            }
        }
        return List.copyOf(path);
    }

    private String version(String group, String name) {
        for (Artifact artifact : project.getArtifacts()) {
            if (artifact.getGroupId().equals(group) && artifact.getArtifactId().equals(name)) {
                return artifact.getVersion();
            }
        }
        return null;
    }

    private List<Path> resolved(String group, String name, String version) throws MojoExecutionException {
        CollectRequest collect = new CollectRequest(
                new Dependency(new DefaultArtifact(group, name, "jar", version), "runtime"),
                project.getRemoteProjectRepositories());
        try {
            return repositories
                    .resolveDependencies(session.getRepositorySession(), new DependencyRequest(collect, null))
                    .getArtifactResults()
                    .stream()
                    .map(ArtifactResult::getArtifact)
                    .map(artifact -> artifact.getFile().toPath())
                    .toList();
        } catch (DependencyResolutionException e) {
            throw new MojoExecutionException(
                    "JUnit's " + name + " " + version + " cannot be fetched: " + e.getMessage(), e);
        }
    }
}
