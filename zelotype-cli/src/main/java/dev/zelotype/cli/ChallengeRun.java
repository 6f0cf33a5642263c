package dev.zelotype.cli;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeText;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.report.site.Sources;
import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Runs a challenge from the terminal, with progress; after an interrupt it prints the findings so far.
 */
final class ChallengeRun {

    private ChallengeRun() {}

    /** Reports the result of a challenge. */
    @FunctionalInterface
    interface Teller {
        /**
         * Reports it.
         *
         * @param interrupted whether the user has interrupted the challenge, so that the result may be incomplete
         * @return the exit code
         */
        int tell(ChallengeResult result, boolean interrupted);
    }

    /** The jar that this command was started from, or its class path if it was not started from a jar. */
    static List<Path> ownClassPath() {
        try {
            Path own = Path.of(ChallengeRun.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
            if (!Files.isDirectory(own)) {
                return List.of(own);
            }
            List<Path> all = new ArrayList<>();
            for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
                all.add(Path.of(entry));
            }
            return all;
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    static int run(Terminal terminal, Challenge challenge, Teller teller) {
        AtomicBoolean interrupted = new AtomicBoolean();
        Runnable onInterrupt = () -> {
            interrupted.set(true);
            challenge.stop();
        };
        return Terminal.interruptible(onInterrupt, () -> {
            try {
                // After an interrupt, the JVM ends only when the result has been reported.
                return WholeFiles.uninterrupted(() -> run(terminal, challenge, teller, interrupted));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private static int run(Terminal terminal, Challenge challenge, Teller teller, AtomicBoolean interrupted) {
        ProgressLines progress = new ProgressLines(terminal.err());
        try {
            ChallengeResult result = challenge.run((done, all) -> progress.reached("disturbed runs", done, all));
            return teller.tell(result, interrupted.get());
        } catch (ChallengeException e) {
            if (!interrupted.get()) {
                throw e;
            }
            terminal.err().println(e.getMessage());
            return 1;
        }
    }

    /** Prints a whole result. */
    static void print(Terminal terminal, ChallengeResult result, Sources sources) {
        Links links = new Links(sources, terminal);
        ChallengeText.lines(result, terminal.width(), (part, line) -> terminal.styled(style(part), line))
                .forEach(line -> terminal.out().println(links.in(line)));
    }

    /** Prints one finding. */
    static void print(Terminal terminal, Finding finding) {
        ChallengeText.lines(finding, terminal.width(), (part, line) -> terminal.styled(style(part), line))
                .forEach(terminal.out()::println);
    }

    private static String style(ChallengeText.Part part) {
        return switch (part) {
            case TITLE -> "bold";
            case STATEMENT -> "fg(31)";
            case PLACE -> "faint";
        };
    }
}
