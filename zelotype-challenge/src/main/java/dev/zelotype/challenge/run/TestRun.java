package dev.zelotype.challenge.run;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: how tests are run, so that a challenge runs them like their build. Immutable.
 *
 * <pre>{@code
 * TestRun run = TestRun.PLAIN.in(Path.of("night")).withJvmOptions(List.of("-Xmx512m"));
 * Challenge challenge = new Challenge(classPath).runningAs(run);
 * }</pre>
 *
 * @param folder the working directory; null for that of this JVM
 * @param jvmOptions for example {@code -javaagent:...}
 * @param environment variables in addition to those of this JVM
 * @param parameters configuration parameters of the JUnit Platform, each as {@code key=value}
 * @param includedTags tag expressions: a test must match one of them; empty for any
 * @param excludedTags tag expressions: a test must match none of them
 * @param includedClasses regular expressions: the binary name of a class must match one of them; empty for any
 * @param excludedClasses regular expressions: the binary name of a class must match none of them
 * @since 0.2
 */
public record TestRun(
        @Nullable Path folder,
        List<String> jvmOptions,
        Map<String, String> environment,
        List<String> parameters,
        List<String> includedTags,
        List<String> excludedTags,
        List<String> includedClasses,
        List<String> excludedClasses) {

    /** The default settings. */
    public static final TestRun PLAIN =
            new TestRun(null, List.of(), Map.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    /**
     * Copies the collections.
     *
     * @param folder the working directory; null for that of this JVM
     * @param jvmOptions for example {@code -javaagent:...}
     * @param environment variables in addition to those of this JVM
     * @param parameters configuration parameters of the JUnit Platform, each as {@code key=value}
     * @param includedTags tag expressions: a test must match one of them; empty for any
     * @param excludedTags tag expressions: a test must match none of them
     * @param includedClasses regular expressions: the binary name of a class must match one of them; empty for any
     * @param excludedClasses regular expressions: the binary name of a class must match none of them
     */
    public TestRun {
        jvmOptions = List.copyOf(jvmOptions);
        environment = Map.copyOf(environment);
        parameters = List.copyOf(parameters);
        includedTags = List.copyOf(includedTags);
        excludedTags = List.copyOf(excludedTags);
        includedClasses = List.copyOf(includedClasses);
        excludedClasses = List.copyOf(excludedClasses);
    }

    /**
     * Sets the working directory.
     *
     * @param other the working directory
     * @return a changed copy
     */
    public TestRun in(Path other) {
        return new TestRun(
                other,
                jvmOptions,
                environment,
                parameters,
                includedTags,
                excludedTags,
                includedClasses,
                excludedClasses);
    }

    /**
     * Sets the options of the JVM.
     *
     * @param options all of them
     * @return a changed copy
     */
    public TestRun withJvmOptions(List<String> options) {
        return new TestRun(
                folder, options, environment, parameters, includedTags, excludedTags, includedClasses, excludedClasses);
    }

    /**
     * Sets the environment variables of the tests.
     *
     * @param variables variables in addition to those of this JVM
     * @return a changed copy
     */
    public TestRun withEnvironment(Map<String, String> variables) {
        return new TestRun(
                folder,
                jvmOptions,
                variables,
                parameters,
                includedTags,
                excludedTags,
                includedClasses,
                excludedClasses);
    }

    /**
     * Sets configuration parameters of the JUnit Platform.
     *
     * @param all each as {@code key=value}
     * @return a changed copy
     */
    public TestRun withParameters(List<String> all) {
        return new TestRun(
                folder, jvmOptions, environment, all, includedTags, excludedTags, includedClasses, excludedClasses);
    }

    /**
     * Selects tests by their tags.
     *
     * @param included tag expressions: a test must match one of them; empty for any
     * @param excluded tag expressions: a test must match none of them
     * @return a changed copy
     */
    public TestRun withTags(List<String> included, List<String> excluded) {
        return new TestRun(
                folder, jvmOptions, environment, parameters, included, excluded, includedClasses, excludedClasses);
    }

    /**
     * Selects the classes that are searched for tests.
     *
     * @param included regular expressions: the binary name of a class must match one of them; empty for any
     * @param excluded regular expressions: the binary name of a class must match none of them
     * @return a changed copy
     */
    public TestRun withClasses(List<String> included, List<String> excluded) {
        return new TestRun(folder, jvmOptions, environment, parameters, includedTags, excludedTags, included, excluded);
    }

    /**
     * Tells whether a class is searched for tests.
     *
     * @param name its binary name
     * @return whether it is included and not excluded
     */
    public boolean runs(String name) {
        return (includedClasses.isEmpty() || includedClasses.stream().anyMatch(name::matches))
                && excludedClasses.stream().noneMatch(name::matches);
    }
}
