package dev.zelotype.challenge;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.run.TestRun;
import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.tools.ToolProvider;

/**
 * The tests that are challenged here.
 */
final class Fixtures {

    /** For JVMs that run for a few seconds. They compile little anyway. */
    private static final List<String> SHORT_LIVED = List.of("-XX:+UseSerialGC");

    private Fixtures() {}

    static List<Path> classPath() {
        return Stream.of(System.getProperty("java.class.path").split(File.pathSeparator))
                .map(Path::of)
                .toList();
    }

    /** Without the frameworks that only some tests need, because each JVM would load them. */
    private static List<Path> withJupiterOnly() {
        return classPath().stream()
                .filter(path -> !path.getFileName().toString().matches("testng-.*|junit-vintage-.*"))
                .toList();
    }

    static Challenge challenge(String fixture, String... options) {
        List<String> all = new ArrayList<>(SHORT_LIVED);
        all.addAll(List.of(options));
        return new Challenge(withJupiterOnly())
                .classes(List.of("dev.zelotype.challenged." + fixture))
                .runningAs(TestRun.PLAIN.withJvmOptions(all));
    }

    static ChallengeResult run(Challenge challenge) {
        return challenge.run((done, all) -> assertThat(done).isBetween(1, Math.max(1, all)));
    }

    /** Compiles sources into a folder, and challenges the tests in it. */
    static Challenge planted(Path folder, List<String> files) {
        return planted(folder, files, withJupiterOnly());
    }

    /** Compiles sources into a folder, and challenges the tests in it, with these libraries. */
    static Challenge planted(Path folder, List<String> files, List<Path> libraries) {
        List<String> options = new ArrayList<>(List.of("-proc:none", "-parameters", "-d", folder.toString()));
        options.addAll(files);
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, null, options.toArray(new String[0])))
                .isZero();
        List<Path> with = new ArrayList<>(List.of(folder));
        with.addAll(libraries);
        return new Challenge(with).from(List.of(folder)).jvms(1).runningAs(TestRun.PLAIN.withJvmOptions(SHORT_LIVED));
    }
}
