package dev.zelotype.cli;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeJournal;
import dev.zelotype.challenge.ChallengeText;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.conversation.ConversationStatements;
import dev.zelotype.examples.observatory.FileCatalog;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.report.site.Sources;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.platform.launcher.listeners.TestExecutionSummary;
import org.junit.platform.launcher.listeners.TestExecutionSummary.Failure;

/**
 * What Zelotype is for, in five parts: two nights as the doubles saw them, a failure, a gap that a challenge finds, and
 * a stub that differs from the real object.
 */
final class DemoStory {

    private static final String HUMID = "a humid night keeps the dome closed";
    private static final String CLEAR = "a clear night opens slews exposes logs and parks";
    private static final String FAILING = "a call with another argument";

    private final Terminal terminal;
    private final ConversationPrinter printer;
    private final Map<String, JournalScene> scenes = new LinkedHashMap<>();
    private final List<JournalClaim> broken = new ArrayList<>();
    private int part;

    DemoStory(Terminal terminal) {
        this.terminal = terminal;
        this.printer = new ConversationPrinter(terminal);
    }

    /** Runs its tests and prints the story; returns the exit code. */
    int tell(Path folder, Path into) throws IOException {
        DemoExample nights = DemoExample.named("night-run").orElseThrow();
        DemoExample trouble = DemoExample.named("trouble").orElseThrow();
        TestExecutionSummary passing = WholeFiles.uninterrupted(() -> DemoCommand.run(nights, folder));
        TestExecutionSummary failing = WholeFiles.uninterrupted(() -> DemoCommand.run(trouble, folder));
        boolean asMeant = passing.getTestsFailedCount() == 0 && failing.getTestsSucceededCount() == 0;
        read(folder);

        title("A humid night: the test says 95 %, and the dome must stay closed");
        show(HUMID);
        title("A clear night: all calls of the night run to its collaborators");
        show(CLEAR);
        title("A test that fails: the message alone is enough to fix the code");
        line(terminal.styled("bold", "TroubledNight: " + FAILING));
        message(failing).lines().forEach(text -> line("  " + terminal.styled("fg(160)", fitted(text))));
        title("Can these tests fail? A challenge makes one change at a time, and finds a gap");
        ChallengeRun.run(
                terminal,
                new Challenge(ChallengeRun.ownClassPath()).classes(nights.testClasses()),
                (result, interrupted) -> {
                    gap(result);
                    new JournalWriter(folder, null).write(ChallengeJournal.of(result));
                    return 0;
                });
        title("Does the real catalog do what the stub does? A claim that it breaks");
        broken.forEach(printer::add);
        line("  What the real one does, as suppositions for the stub:");
        told(folder)
                .lines()
                .filter(each -> each.contains("suppose("))
                .forEach(each -> line("    " + terminal.styled("fg(31)", each.strip())));

        Path page = ReportCommand.write(terminal, JournalOption.of(folder), into, "The demo", Sources.NONE);
        line("");
        line(terminal.styled("bold,underline", "Next"));
        line("  open the report                 " + page);
        line("  see more examples               ./demo --list");
        line("  challenge all of the tests      ./demo --challenge");
        line("  write a test of your own        README.md, \"Use it\"; docs/guide/start.md");
        return asMeant ? 0 : 1;
    }

    /** The answers of the real catalog, as claims. */
    private static String told(Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("catalog.txt"), "Harrow-2 47\nQuill-9 61\n");
        FileCatalog real = new FileCatalog(file);
        try (Scene scene = Scene.open()) {
            TargetCatalog catalog = Zelotype.stub(TargetCatalog.class, "catalog");
            Zelotype.suppose(catalog::find).answers(real::find);
            catalog.find("Harrow-2");
            catalog.find("Nowhere-1");
            return scene.statements().text(ConversationStatements.Form.CLAIMS);
        }
    }

    private void read(Path folder) {
        JournalOption.of(folder).read(terminal, new JournalSink() {
            @Override
            public void add(JournalScene scene) {
                scenes.put(scene.title(), scene);
            }

            @Override
            public void add(JournalClaim claim) {
                if (!claim.isKept()) {
                    broken.add(claim);
                }
            }
        });
    }

    private void title(String text) {
        line("");
        line(terminal.styled("bold,underline", ++part + ". " + text));
    }

    private void show(String title) {
        JournalScene scene = scenes.get(title);
        if (scene != null) {
            printer.addWithoutGroup(scene);
        }
    }

    private static String message(TestExecutionSummary failing) {
        for (Failure failure : failing.getFailures()) {
            if (failure.getTestIdentifier().getDisplayName().equals(FAILING)) {
                return String.valueOf(failure.getException().getMessage());
            }
        }
        return "";
    }

    /** A line, with a shortened place if the terminal is too narrow. */
    private String fitted(String text) {
        return text.length() + 2 <= terminal.width()
                ? text
                : text.replaceFirst(" at [\\w.$]+\\(([\\w$]+\\.java:\\d+)\\)$", " $1");
    }

    private void gap(ChallengeResult result) {
        result.findings().stream()
                .filter(finding -> finding.weight() == Finding.Weight.GAP)
                .findFirst()
                .ifPresent(finding -> ChallengeRun.print(terminal, finding));
        line("  " + ChallengeText.sum(result));
    }

    private void line(String text) {
        terminal.out().println(text);
    }
}
