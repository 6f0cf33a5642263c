package dev.zelotype.cli;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.ChallengeJournal;
import dev.zelotype.challenge.ChallengeText;
import dev.zelotype.challenge.MergedRuns;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.kept.Shard;
import dev.zelotype.challenge.patch.SourcePatch;
import dev.zelotype.challenge.run.TestRun;
import dev.zelotype.journal.JournalWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * Disturbs the conversations of tests, and reports what no test noticed.
 */
@Command(
        name = "challenge",
        header = "Finds out whether tests can fail: changes the answers of doubles, and reports what no test "
                + "noticed.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Can these tests fail? Runs them repeatedly with one change at a time between a subject and its",
            "doubles, and reports the changes that no test noticed, each with the statement to write."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:the noticed share is less than --fail-under", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype challenge --class-path target/test-classes:target/classes:lib/junit.jar",
            "  zelotype challenge --class-path @test.path --class '*.NightRunTest' --fail-under 90",
            "  zelotype challenge --class-path @test.path --since origin/main --format sarif --into gaps.sarif",
            "  zelotype challenge --class-path @test.path --write src/test/java | git apply",
            "  zelotype challenge --class-path @test.path --shard 3/8 --journal shard-3",
            "  zelotype challenge --merge shard-1 --merge shard-2 --fail-under 90"
        })
final class ChallengeCommand implements Callable<Integer> {

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Option(
            names = "--class-path",
            paramLabel = "PATH",
            description = {
                "The class path of the tests, including JUnit: folders, which are searched for tests, and jars.",
                "@FILE reads it from a file."
            })
    private String classPath;

    @Option(
            names = "--class",
            paramLabel = "NAMES",
            defaultValue = "*",
            description = "Only test classes whose qualified name matches one of these; * matches anything.")
    private String classes;

    @Option(
            names = "--test",
            paramLabel = "TEXT",
            defaultValue = "",
            description = "Only tests with this text in their name.")
    private String test;

    @Option(
            names = "--except",
            paramLabel = "CALLS",
            defaultValue = "",
            description = "Calls that need no check, for example NightLog.append; * matches anything.")
    private String except;

    @Option(
            names = "--change",
            paramLabel = "KINDS",
            split = ",",
            description = {
                "The changes to make: answer, lost, argument, callback, twice, result, extra, thrown, silent, order.",
                "Default: all except order."
            })
    private List<String> changes = new ArrayList<>();

    @Option(
            names = "--minor",
            paramLabel = "CALLS",
            defaultValue = "",
            description = "Calls that are listed separately and do not count, in addition to those of logging, "
                    + "metrics and audit.")
    private String minor;

    @Option(
            names = "--since",
            paramLabel = "REF",
            description = "Only what has changed since a git commit or branch: calls in changed lines, and tests "
                    + "whose own class or whose subject's class has changed.")
    private String since;

    @Option(
            names = "--jvms",
            paramLabel = "NUMBER",
            description = "How many JVMs run tests side by side. Default: the number of processors.")
    private Integer jvms;

    @Option(
            names = "--shard",
            paramLabel = "NUMBER/COUNT",
            description = {
                "One part of the tests, for example 3/8, on one of several machines. Each needs a --journal.",
                "--merge puts them together."
            })
    private String shard;

    @Option(
            names = "--times",
            paramLabel = "FOLDER",
            description = "The journal of an earlier challenge: tests are distributed by its times instead of the "
                    + "size of test classes. Must be the same for all shards.")
    private Path times;

    @Option(
            names = "--merge",
            paramLabel = "FOLDER",
            description = "Runs nothing: combines the journals of all shards, or of several modules. May be given "
                    + "several times.")
    private List<Path> merge = new ArrayList<>();

    @Option(
            names = "--reuse",
            description = "Reuses the runs of an earlier challenge with this --journal, if the calls of a test "
                    + "are the same, and none of the classes that it and its subject refer to has changed.")
    private boolean reuse;

    @Option(
            names = "--write",
            paramLabel = "FOLDER",
            description = "Prints a patch for the test sources in a folder, for example src/test/java, with the "
                    + "statements that close the gaps. May be given several times.")
    private List<Path> write = new ArrayList<>();

    @Option(names = "--directory", paramLabel = "FOLDER", description = "The working directory of the tests.")
    private Path directory;

    @Option(
            names = "--jvm-option",
            paramLabel = "OPTION",
            description = "An option for the JVM of the tests, such as -Xmx1g. May be given several times.")
    private List<String> jvmOptions = new ArrayList<>();

    @Option(
            names = "--env",
            paramLabel = "NAME=VALUE",
            description = "A variable in the environment of the tests. May be given several times.")
    private Map<String, String> environment = new LinkedHashMap<>();

    @Option(
            names = "--parameter",
            paramLabel = "NAME=VALUE",
            description = "A configuration parameter of JUnit. May be given several times.")
    private Map<String, String> parameters = new LinkedHashMap<>();

    @Option(
            names = "--tag",
            paramLabel = "TAGS",
            description = "Only tests with a tag, or whose tags fit an expression. May be given several times.")
    private List<String> tags = new ArrayList<>();

    @Option(
            names = "--exclude-tag",
            paramLabel = "TAGS",
            description = "No tests with a tag, or whose tags fit an expression. May be given several times.")
    private List<String> excludedTags = new ArrayList<>();

    @Option(
            names = "--limit",
            paramLabel = "SECONDS",
            description = "The maximum total time; the findings until then are printed.")
    private Double limit;

    @Option(
            names = "--fail-under",
            paramLabel = "PERCENT",
            defaultValue = "0",
            description = "Exit code 1 if tests notice a smaller share of the disturbed places.")
    private double failUnder;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            defaultValue = "text",
            description = "text, json, sarif. Default: ${DEFAULT-VALUE}.")
    private String format;

    @Option(names = "--into", paramLabel = "FILE", description = "The file to write. Default: the terminal.")
    private Path into;

    @Option(
            names = "--journal",
            paramLabel = "FOLDER",
            description = "Also records the findings in this journal, for zelotype report, and keeps all runs "
                    + "there, for --reuse, --times and --merge.")
    private Path journal;

    @Mixin
    private SourcesOption sources;

    ChallengeCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        refuseWrongUse();
        if (!merge.isEmpty()) {
            return tell(MergedRuns.of(merge), false, List.of());
        }
        List<Path> tests = paths();
        List<Path> path = new ArrayList<>(tests);
        // What a test class path may lack: the launcher, and this command's part in the other JVM.
        ChallengeRun.ownClassPath().stream().filter(own -> !tests.contains(own)).forEach(path::add);
        Challenge challenge = new Challenge(path)
                .from(tests.stream().filter(Files::isDirectory).toList())
                .onlyClasses(classes)
                .onlyTests(test)
                .except(except)
                .minor(minor)
                .jvms(jvms == null ? Runtime.getRuntime().availableProcessors() : jvms)
                .runningAs(testRun())
                .changes(chosenChanges());
        if (since != null) {
            challenge.onlyWhere(GitDiff.since(spec, since));
        }
        if (limit != null) {
            challenge.within(Duration.ofMillis((long) (limit * 1000)));
        }
        if (shard != null) {
            challenge.shard(chosenShard(), times);
        }
        if (journal != null) {
            challenge.keeping(journal, reuse);
        }
        return ChallengeRun.run(terminal, challenge, (result, interrupted) -> tell(result, interrupted, path));
    }

    private TestRun testRun() {
        TestRun run = TestRun.PLAIN
                .withJvmOptions(jvmOptions)
                .withEnvironment(environment)
                .withParameters(parameters.entrySet().stream()
                        .map(each -> each.getKey() + "=" + each.getValue())
                        .toList())
                .withTags(tags, excludedTags);
        return directory == null ? run : run.in(directory);
    }

    private int tell(ChallengeResult result, boolean interrupted, List<Path> path) {
        if (journal != null && shard == null) {
            new JournalWriter(journal, null).write(ChallengeJournal.of(result));
        }
        if (into != null && interrupted && !result.isComplete()) {
            // A part does not replace a file, because whoever reads that would take it for the whole.
            ChallengeRun.print(terminal, result, sources.sources());
            terminal.err().println("Interrupted: " + into + " was not written.");
            return 1;
        }
        if (!write.isEmpty()) {
            tell(SourcePatch.of(result, write, path), result);
        } else if (into == null && format.equals("text")) {
            ChallengeRun.print(terminal, result, sources.sources());
        } else {
            String text = switch (format) {
                case "json" -> ChallengeJson.of(result);
                case "sarif" -> ChallengeSarif.of(result, sources.sources());
                default -> String.join(System.lineSeparator(), ChallengeText.lines(result)) + System.lineSeparator();
            };
            if (into == null) {
                terminal.out().print(text);
                terminal.out().flush();
            } else {
                OutputFile.write(into, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
                terminal.out().println(ChallengeText.sum(result));
                terminal.out().println("written to " + into);
            }
        }
        if (since != null && result.isEmpty()) {
            terminal.err().println("Nothing that the tests can see has changed since " + since + ".");
            return 0;
        }
        String shortfall = ChallengeText.shortfall(result, failUnder);
        if (!shortfall.isEmpty()) {
            terminal.err().println(shortfall);
        }
        return shortfall.isEmpty() ? 0 : 1;
    }

    /** Only the patch is written to standard output, so that it can be applied. */
    private void tell(SourcePatch patch, ChallengeResult result) {
        patch.leftOut().forEach(each -> terminal.err().println("not in the patch: " + each));
        terminal.err()
                .println(ChallengeText.sum(result) + "; the patch adds "
                        + (patch.statements() == 1 ? "1 statement" : patch.statements() + " statements"));
        OutputFile.show(terminal, into, patch.text());
    }

    private Shard chosenShard() {
        try {
            return Shard.of(shard);
        } catch (ChallengeException e) {
            throw wrong("--shard: " + e.getMessage());
        }
    }

    private void refuseWrongUse() {
        if (merge.isEmpty() && classPath == null) {
            throw wrong("Give the class path of the tests with --class-path, or journals of shards with --merge.");
        }
        if (!merge.isEmpty() && (classPath != null || shard != null || !write.isEmpty() || reuse)) {
            throw wrong(
                    "--merge runs no test, so it takes no --class-path, --shard, --reuse or --write: leave them out.");
        }
        for (Path each : merge) {
            refuseNoFolder(each, "give the journals of shards to --merge");
        }
        refuseWrongShards();
        for (Path each : write) {
            refuseNoFolder(each, "give the folder of the tests' sources to --write");
        }
        if (!write.isEmpty() && !format.equals("text")) {
            throw wrong("--write prints a patch, which has no other format: leave --format out.");
        }
        OptionCheck.refuseNoShare(spec, failUnder);
        if (limit != null && !(limit > 0 && limit <= 1e9)) {
            throw wrong("--limit=" + limit + " is not a time: give seconds, such as 60.");
        }
        OptionCheck.refuseNoFormat(spec, format, "text", "json", "sarif");
        if (jvms != null && jvms < 1) {
            throw wrong("--jvms must be at least 1, but was " + jvms + ".");
        }
        refuseNoFolder(directory, "give an existing folder to --directory");
        OutputFile.refuseFolder(spec, into);
        if (journal != null && (journal.toString().isBlank() || Files.isRegularFile(journal))) {
            throw wrong("--journal=" + journal + " is not a folder: give one, such as target/journal.");
        }
    }

    private void refuseWrongShards() {
        if (shard != null) {
            chosenShard();
            if (journal == null) {
                throw wrong("--shard needs --journal: what it finds is kept there, for --merge.");
            }
            if (failUnder > 0) {
                throw wrong("A shard has seen a part of the tests only: give --fail-under to --merge.");
            }
            if (since != null || !classes.equals("*") || !test.isEmpty()) {
                throw wrong("--shard is for all tests: leave --since, --class and --test out.");
            }
        }
        if (times != null && shard == null) {
            throw wrong("--times says how shards are cut: give --shard as well.");
        }
        refuseNoFolder(times, "give the journal of an earlier challenge to --times");
        if (reuse && journal == null) {
            throw wrong("--reuse needs --journal: that is where an earlier challenge has kept its runs.");
        }
    }

    private void refuseNoFolder(@Nullable Path folder, String instead) {
        if (folder != null && !Files.isDirectory(folder)) {
            throw wrong("The folder " + folder + " does not exist: " + instead + ".");
        }
    }

    private ParameterException wrong(String message) {
        return new ParameterException(spec.commandLine(), message);
    }

    private Set<ChangeKind> chosenChanges() {
        try {
            return ChangeKind.ofWords(changes);
        } catch (ChallengeException e) {
            throw new ParameterException(spec.commandLine(), e.getMessage(), e);
        }
    }

    private List<Path> paths() {
        List<Path> paths = new ArrayList<>();
        for (String entry : OptionCheck.entries(classPath)) {
            Path place = Path.of(entry.strip());
            OptionCheck.refuseMissing(spec, place);
            paths.add(place.toAbsolutePath());
        }
        if (paths.stream().noneMatch(Files::isDirectory)) {
            throw wrong("--class-path must contain a folder of test classes: give at least one, and the jars.");
        }
        return paths;
    }
}
