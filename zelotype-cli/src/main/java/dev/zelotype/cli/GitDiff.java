package dev.zelotype.cli;

import dev.zelotype.challenge.ChangedCode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/**
 * The changes since a commit, as reported by git.
 */
final class GitDiff {

    private GitDiff() {}

    /**
     * The changes in the work tree since a commit or branch; files that git does not track yet count as changed
     * completely.
     */
    static ChangedCode since(CommandSpec spec, String ref) {
        if (ref.isBlank() || ref.startsWith("-")) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--since=" + ref + " is not a commit: give one, or a branch, such as origin/main.");
        }
        StringBuilder diff =
                new StringBuilder(git(spec, ref, "diff", "--unified=0", "--no-color", "--no-ext-diff", ref));
        git(spec, ref, "ls-files", "--others", "--exclude-standard")
                .lines()
                .forEach(file -> diff.append("+++ b/").append(file).append('\n'));
        return ChangedCode.ofDiff(diff.toString());
    }

    private static String git(CommandSpec spec, String ref, String... arguments) {
        List<String> command = new ArrayList<>(List.of("git"));
        command.addAll(List.of(arguments));
        try {
            // To a file, so that git never blocks on a full pipe.
            Path errors = Files.createTempFile("zelotype", ".txt");
            try {
                Process process = new ProcessBuilder(command)
                        .redirectError(errors.toFile())
                        .start();
                String said;
                try (InputStream out = process.getInputStream()) {
                    said = new String(out.readAllBytes(), StandardCharsets.UTF_8);
                }
                if (process.waitFor() != 0) {
                    throw refused(
                            spec,
                            ref,
                            Files.readString(errors).lines().findFirst().orElse("no reason given"));
                }
                return said;
            } finally {
                Files.delete(errors);
            }
        } catch (IOException e) {
            throw refused(spec, ref, e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw refused(spec, ref, "interrupted");
        }
    }

    private static ParameterException refused(CommandSpec spec, String ref, String reason) {
        return new ParameterException(
                spec.commandLine(),
                "git does not know what has changed since " + ref + ": " + reason.replaceAll("^fatal: |\\.$", "")
                        + ". Run this inside a work tree, with a commit or branch that it has.");
    }
}
