package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine.Help.Ansi;

/**
 * Every wrong use ends with exit code 2 and one or two lines that say what was wrong and what to do, and writes
 * nothing.
 */
class WrongUseTest {

    private static final String FILE = "<file>";
    private static final String FOLDER = "<folder>";

    @TempDir
    Path temporary;

    /** Arguments, and a part of the message for them. */
    private record Wrong(List<String> arguments, String said) {

        @Override
        public String toString() {
            return String.join(" ", arguments);
        }
    }

    private static Wrong wrong(String said, String... arguments) {
        return new Wrong(List.of(arguments), said);
    }

    static Stream<Wrong> wrong_uses() {
        List<Wrong> all = new ArrayList<>(List.of(
                wrong("Say what to do."),
                wrong("Unmatched argument at index 0: 'nonsense'", "nonsense"),
                wrong("Unknown example 'surplus': give one of night-run, claims, partial", "demo", "surplus"),
                wrong("Missing required option: '--before=FOLDER'", "compare"),
                wrong("No journal was found in no/such", "compare", "--before", "no/such"),
                wrong("No journal was found in ", "compare", "--before", FOLDER),
                wrong("Missing required option: '--into=FOLDER'", "report"),
                wrong("Missing required option: '--into=FOLDER'", "generate"),
                wrong("Say what to write doubles for", "generate", "--into", "x"),
                wrong("contradict each other", "generate", "--into", "x", "--type", "a.B", "--check", "--force"),
                wrong("contradict each other", "generate", "--into", "x", "--type", "a.B", "--check", "--dry-run"),
                wrong("contradict each other", "generate", "--into", "x", "--type", "a.B", "--dry-run", "--force"),
                wrong("A png is not for terminals", "story", "--format", "png"),
                wrong("Type a.B was not found", "generate", "--into", "x", "--type", "a.B"),
                wrong("File or folder no/such does not exist", "generate", "--into", "x", "--from", "no/such")));
        for (String command : List.of("demo", "story", "coverage", "report", "generate")) {
            all.add(wrong("Unknown option: '--nonsense'", command, "--into", "x", "--nonsense"));
            all.add(wrong("Unknown option: '-x'", command, "--into", "x", "-x"));
            all.add(wrong("Missing required parameter for option '--into'", command, "--into"));
        }
        String here = "target/test-classes";
        for (String[] odd : new String[][] {
            {"Give the class path of the tests with --class-path, or journals of shards with --merge."},
            {"--merge runs no test", "--class-path", here, "--merge", "x"},
            {"The folder no/such does not exist: give the journals of shards", "--merge", "no/such"},
            {"No runs of a challenge were found in ", "--merge", FOLDER},
            {"'9/8' is not a shard", "--class-path", here, "--shard", "9/8", "--journal", "x"},
            {"'half' is not a shard", "--class-path", here, "--shard", "half", "--journal", "x"},
            {"--shard needs --journal", "--class-path", here, "--shard", "1/2"},
            {
                "give --fail-under to --merge",
                "--class-path",
                here,
                "--shard",
                "1/2",
                "--journal",
                "x",
                "--fail-under",
                "9"
            },
            {"--shard is for all tests", "--class-path", here, "--shard", "1/2", "--journal", "x", "--test", "one"},
            {"--times says how shards are cut", "--class-path", here, "--times", FOLDER},
            {
                "The folder no/such does not exist: give the journal of an earlier challenge",
                "--class-path",
                here,
                "--shard",
                "1/2",
                "--journal",
                "x",
                "--times",
                "no/such"
            },
            {"--reuse needs --journal", "--class-path", here, "--reuse"},
            {"The folder no/such does not exist: give the folder of", "--class-path", here, "--write", "no/such"},
            {"--write prints a patch", "--class-path", here, "--write", FOLDER, "--format", "json"},
            {"no/such, given to --class-path, does not exist", "--class-path", "no/such"},
            {"--class-path must contain a folder of test classes", "--class-path", ""},
            {"--class-path must contain a folder of test classes", "--class-path", FILE},
            {"No test was found", "--class-path", FOLDER},
            {"No test was found", "--class-path", here, "--class", "no.Such"},
            {"Unknown change 'ordre'", "--class-path", here, "--change", "lost,ordre"},
            {"--jvms must be at least 1, but was 0", "--class-path", here, "--jvms", "0"},
            {
                "The folder no/such does not exist: give an existing folder to --directory.",
                "--class-path",
                here,
                "--directory",
                "no/such"
            },
            {"Value for option option '--env'", "--class-path", here, "--env", "SITE"},
            {"--since=-x is not a commit", "--class-path", here, "--since=-x"},
            {"does not know what has changed since no-such-branch", "--class-path", here, "--since", "no-such-branch"},
            {"Unknown format 'xml'", "--class-path", here, "--format", "xml"},
            {"--limit=0.0 is not a time", "--class-path", here, "--limit", "0"},
            {"--limit=NaN is not a time", "--class-path", here, "--limit", "NaN"},
            {"--fail-under must be between 0 and 100, but was", "--class-path", here, "--fail-under", "101"},
            {"is a folder: give the file to write", "--class-path", here, "--into", FOLDER}
        }) {
            List<String> arguments = new ArrayList<>(List.of(odd));
            arguments.set(0, "challenge");
            all.add(new Wrong(arguments, odd[0]));
        }
        for (String command : List.of("story", "coverage")) {
            all.add(wrong("--into is empty", command, "--into", ""));
            all.add(wrong("is a folder: give the file to write", command, "--into", FOLDER));
            all.add(wrong("is a folder: give the file to write", command, "--into", "/"));
            for (String format : List.of("gif", "TEXT", "xml", " ", "text,csv", "jsonl", "tex")) {
                all.add(wrong("Unknown format '" + format + "'", command, "--format", format));
            }
        }
        for (String[] command :
                new String[][] {{"demo"}, {"report"}, {"generate", "--type", "java.util.concurrent.Callable"}}) {
            for (String[] into : new String[][] {
                {"", "is empty"},
                {"/", "is the root of all files"},
                {FILE, "is a file: give a folder"},
                {"/..", "is the root of all files"}
            }) {
                List<String> arguments = new ArrayList<>(List.of(command));
                arguments.addAll(List.of("--into", into[0]));
                all.add(new Wrong(arguments, into[1]));
            }
        }
        for (String command : List.of("story", "coverage", "report")) {
            for (String[] journal : new String[][] {
                {"", "--journal is empty"},
                {"no/such/place", "No journal was found in no/such/place"},
                {FOLDER, "No journal was found in "}
            }) {
                List<String> arguments = new ArrayList<>(List.of(command, "--journal", journal[0]));
                if (command.equals("report")) {
                    arguments.addAll(List.of("--into", "x"));
                }
                all.add(new Wrong(arguments, journal[1]));
            }
        }
        for (String share : List.of("-1", "101", "NaN", "Infinity", "-Infinity", "1e9")) {
            all.add(wrong("--fail-under must be between 0 and 100, but was", "coverage", "--fail-under", share));
        }
        for (String share : List.of("many", "", "50%", "1,5")) {
            all.add(wrong("Invalid value for option '--fail-under'", "coverage", "--fail-under", share));
        }
        for (String order : List.of("up", "", "names", "least,most")) {
            all.add(wrong("Unknown order '" + order + "'", "coverage", "--sort", order));
        }
        for (String calls : List.of(
                "1to4",
                "9-3",
                "0-3",
                "-3",
                "3-",
                "3",
                "a-b",
                "1-2-3",
                "1 - 4",
                "99999999999-4",
                "-1--4",
                "2-1",
                "٣-٤")) {
            all.add(wrong("is not a range", "story", "--calls=" + calls));
        }
        for (String outcome : List.of("odd", "PASS", "green", "passed,failed")) {
            all.add(wrong("Unknown outcome '" + outcome + "'", "story", "--outcome", outcome));
        }
        for (String style : List.of("mad", "stub,mad", "", "STUBS", "stub;spy")) {
            all.add(wrong(
                    "Unknown style '", "generate", "--type", "java.lang.Runnable", "--into", "x", "--style", style));
        }
        for (String name : List.of(
                "../../x", "a-b", "int", "a..b", ".a", "a.", "a.class", "1a", "a b", "a/b", "/tmp", "a.1", "true",
                "a;b")) {
            all.add(wrong(
                    "is not a package name",
                    "generate",
                    "--type",
                    "java.lang.Runnable",
                    "--into",
                    "x",
                    "--package",
                    name));
        }
        for (String path : List.of("no/such.jar", FOLDER + ":no/such", "nowhere")) {
            all.add(wrong(
                    "given to --class-path",
                    "generate",
                    "--type",
                    "java.lang.Runnable",
                    "--into",
                    "x",
                    "--class-path",
                    path));
        }
        all.add(wrong(
                "cannot be read as a jar",
                "generate",
                "--type",
                "java.lang.Runnable",
                "--into",
                "x",
                "--class-path",
                FILE));
        for (String type :
                List.of("java.lang.String", "java.util.concurrent.TimeUnit", "java.lang.Nothing", "Nothing", "*")) {
            all.add(new Wrong(List.of("generate", "--into", "x", "--type", type), type.replace("*", "")));
        }
        return all.stream();
    }

    @Test
    void there_are_at_least_a_hundred_and_twenty() {
        assertThat(wrong_uses().map(Wrong::toString).distinct()).hasSizeGreaterThanOrEqualTo(120);
    }

    @ParameterizedTest
    @MethodSource
    void wrong_uses(Wrong wrong) throws IOException {
        Path folder = Files.createDirectory(temporary.resolve("folder"));
        Path file = Files.writeString(temporary.resolve("file"), "kept");
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        String[] arguments = wrong.arguments().stream()
                .map(word -> word.replace(FOLDER, folder.toString()).replace(FILE, file.toString()))
                .toArray(String[]::new);
        int code = Main.commandLine(new Terminal(
                        new PrintWriter(out, true), new PrintWriter(err, true), Ansi.OFF, true, 100, false))
                .execute(arguments);
        assertThat(code).as(err.toString()).isEqualTo(2);
        assertThat(err.toString())
                .contains(wrong.said())
                .doesNotContain("\tat ")
                .doesNotContain("Exception")
                .doesNotContain("Usage:");
        assertThat(err.toString().lines().count()).as(err.toString()).isLessThanOrEqualTo(6);
        assertThat(out.toString()).isEmpty();
        assertThat(Path.of("x")).doesNotExist();
        assertThat(folder).isEmptyDirectory();
        assertThat(file).hasContent("kept");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "story --journal",
                "report --journal target --into",
                "generate --type java.util.List --into x --class-path",
                "generate --into x --from",
                "challenge --class-path"
            })
    void a_path_that_the_system_cannot_write_is_said(String arguments) {
        StringWriter err = new StringWriter();
        PrintWriter out = new PrintWriter(err, true);
        List<String> all = new ArrayList<>(List.of(arguments.split(" ")));
        // Stands for a character that some locales lack: one that no system allows in a path.
        all.add("n\0ght");
        assertThat(Main.commandLine(new Terminal(out, out, Ansi.OFF, true, 100, false))
                        .execute(all.toArray(new String[0])))
                .isEqualTo(2);
        assertThat(err.toString())
                .contains("cannot be written as a path with the characters of this system", "Set LANG")
                .doesNotContain("\tat ");
    }
}
