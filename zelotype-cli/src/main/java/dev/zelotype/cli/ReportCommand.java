package dev.zelotype.cli;

import dev.zelotype.challenge.ChallengeJournal;
import dev.zelotype.challenge.MergedRuns;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.report.site.ReportFindings;
import dev.zelotype.report.site.Site;
import dev.zelotype.report.site.Sources;
import java.awt.Desktop;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * Writes a site about a test run.
 */
@Command(
        name = "report",
        header = "Writes a site about a test run.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Writes a site about a test run: every test with its story, coverage, default answers, unused",
            "suppositions, and advice. It needs no network and opens from the disk. It reads the",
            "journal of a test run with zelotype.journal=FOLDER. Shards of a challenge in it are",
            "combined."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "2:wrong use"},
        footerHeading = "%nExample:%n",
        footer = "  zelotype report --journal target/journal --into target/report")
final class ReportCommand implements Callable<Integer> {

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Mixin
    private JournalOption journal = new JournalOption();

    @Option(
            names = "--into",
            paramLabel = "FOLDER",
            required = true,
            description = "The folder of the site; an earlier report there is replaced. With --format sarif, the "
                    + "file to write.")
    private Path into;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            defaultValue = "site",
            description = {
                "site, or sarif: broken claims, findings of a challenge, and advice, for code hosts and IDEs.",
                "Default: ${DEFAULT-VALUE}."
            })
    private String format;

    @Option(
            names = "--title",
            paramLabel = "TEXT",
            defaultValue = "What the doubles were asked",
            description = "The title of the page. Default: ${DEFAULT-VALUE}.")
    private String title;

    @Mixin
    private SourcesOption sources = new SourcesOption();

    @Option(names = "--open", description = "Opens the page in a browser.")
    private boolean open;

    ReportCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        OptionCheck.refuseNoFormat(spec, format, "site", "sarif");
        if (format.equals("sarif")) {
            OutputFile.refuseFolder(spec, into);
            ReportFindings findings = new ReportFindings();
            read(terminal, journal, findings);
            OutputFile.show(terminal, into, sarif(findings, sources.sources()));
            return 0;
        }
        OutputFile.refuseNoFolder(spec, into);
        Path page = write(terminal, journal, into, title, sources.sources());
        terminal.out().println("written: " + page);
        if (open && !isOpened(page)) {
            terminal.err().println("No browser can be opened from here: open the page yourself.");
        }
        return 0;
    }

    /** A machine may have no desktop, and a desktop no browser. */
    private static boolean isOpened(Path page) {
        try {
            if (!Desktop.isDesktopSupported() || !Desktop.getDesktop().isSupported(Desktop.Action.BROWSE)) {
                return false;
            }
            Desktop.getDesktop().browse(page.toUri());
            return true;
        } catch (IOException | RuntimeException e) {
            return false;
        }
    }

    /** Writes the site of a journal; nothing is left if it is interrupted. */
    static Path write(Terminal terminal, JournalOption journal, Path into, String title, Sources sources) {
        ProgressLines progress = new ProgressLines(terminal.err());
        try (Site site = new Site(into, title, sources)) {
            int[] tests = {0};
            read(terminal, journal, new JournalSink() {
                @Override
                public void add(JournalScene scene) {
                    site.add(scene);
                    progress.reached("tests read", ++tests[0]);
                }

                @Override
                public void add(JournalClaim claim) {
                    site.add(claim);
                }

                @Override
                public void add(JournalChallenge challenge) {
                    site.add(challenge);
                }
            });
            return site.finish();
        }
    }

    /**
     * Reads a journal. If it contains shards of a challenge, they are combined and replace a challenge in the journal.
     */
    private static void read(Terminal terminal, JournalOption journal, JournalSink sink) {
        ChallengeResult shards = MergedRuns.ofShardsIn(journal.path());
        if (shards == null || journal.hasFiles()) {
            journal.read(terminal, sink);
        }
        if (shards != null) {
            sink.add(ChallengeJournal.of(shards));
        }
    }

    private static String sarif(ReportFindings findings, Sources sources) {
        return Sarif.of(findings.all().stream().map(ReportCommand::result).toList(), sources);
    }

    private static Sarif.Result result(ReportFindings.Found found) {
        int colon = found.place().lastIndexOf(':');
        return new Sarif.Result(
                found.rule(),
                found.title(),
                found.wrong(),
                found.text(),
                found.place().substring(0, Math.max(0, colon)),
                colon < 0 ? 0 : Integer.parseInt(found.place().substring(colon + 1)),
                found.wrong() ? "wrong" : "advice",
                found.cure(),
                found.tests());
    }
}
