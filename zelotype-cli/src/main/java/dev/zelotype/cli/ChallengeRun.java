package dev.zelotype.cli;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeText;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.report.site.Sources;
import java.io.File;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.ToIntFunction;

/**
 * Runs a challenge from the terminal, with progress; after an interrupt it prints the findings so far.
 */
final class ChallengeRun {

    private static final int SECONDS_TO_TELL = 5;

    private ChallengeRun() {}

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

    static int run(Terminal terminal, Challenge challenge, ToIntFunction<ChallengeResult> tell) {
        CountDownLatch told = new CountDownLatch(1);
        Runnable onInterrupt = () -> {
            challenge.stop();
            try {
                // The JVM ends with this thread, so it waits for the result to be told.
                told.await(SECONDS_TO_TELL, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        };
        return Terminal.interruptible(onInterrupt, () -> {
            try {
                ProgressLines progress = new ProgressLines(terminal.err());
                ChallengeResult result = challenge.run((done, all) -> progress.reached("disturbed runs", done, all));
                return tell.applyAsInt(result);
            } finally {
                told.countDown();
            }
        });
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
