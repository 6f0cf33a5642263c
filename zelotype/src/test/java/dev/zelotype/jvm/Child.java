package dev.zelotype.jvm;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** A separate JVM that runs a class of the tests. */
final class Child {

    private Child() {}

    /** Runs a class with options for the JVM, and arguments after {@code --}; returns its output. */
    static String run(Class<?> main, String... words) throws IOException, InterruptedException {
        return run(Map.of(), main, words);
    }

    /** Like {@link #run(Class, String...)}, with additional environment variables. */
    static String run(Map<String, String> environment, Class<?> main, String... words)
            throws IOException, InterruptedException {
        List<String> all = Arrays.asList(words);
        int split = all.contains("--") ? all.indexOf("--") : all.size();
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        // It runs for a second, so optimizing would not pay.
        command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
        command.addAll(all.subList(0, split));
        command.addAll(List.of("-XX:+EnableDynamicAgentLoading", "-cp", System.getProperty("java.class.path")));
        command.add(main.getName());
        command.addAll(all.subList(Math.min(all.size(), split + 1), all.size()));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment);
        Process process = builder.start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(printed).isZero();
        return printed;
    }
}
