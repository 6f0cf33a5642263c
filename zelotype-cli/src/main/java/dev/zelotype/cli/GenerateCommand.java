package dev.zelotype.cli;

import dev.zelotype.generate.GenerateException;
import dev.zelotype.generate.GeneratedFile;
import dev.zelotype.generate.GeneratedFile.State;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Style;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipFile;
import javax.lang.model.SourceVersion;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * Writes doubles as source.
 */
@Command(
        name = "generate",
        header = "Writes doubles as plain Java source.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Writes doubles as plain Java source that needs no library, from interfaces and abstract classes."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {
            "0:done",
            "1:with --check, something is out of date; otherwise, a file edited by hand or not generated was left "
                    + "alone",
            "2:wrong use"
        },
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype generate --from src/main/java --only 'dev.observatory.*' --style stub,spy \\",
            "      --into src/test/java --package dev.observatory.doubles",
            "  zelotype generate --type java.util.concurrent.Callable --into doubles --package doubles",
            "  zelotype generate --from src/main/java --into src/test/java --check"
        })
final class GenerateCommand implements Callable<Integer> {

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Option(
            names = "--from",
            paramLabel = "PATH",
            description = "Source files, folders of them, folders of class files, or jars.")
    private List<Path> from = new ArrayList<>();

    @Option(
            names = "--only",
            paramLabel = "NAMES",
            description = "Of those, only types whose qualified name matches one of these; * matches anything.")
    private String only = "*";

    @Option(
            names = "--type",
            paramLabel = "NAME",
            description = "A type of the class path or of the JDK; * matches anything in the last part of its name.")
    private List<String> types = new ArrayList<>();

    @Option(names = "--class-path", paramLabel = "PATH", description = "The class path of the types: jars and folders.")
    private String classPath = "";

    @Option(
            names = "--style",
            paramLabel = "STYLE",
            split = ",",
            defaultValue = "stub",
            description = "base, stub, strict, spy, fake, working-fake, linked; several separated by commas. "
                    + "Default: stub.")
    private List<String> styles;

    @Option(
            names = "--into",
            paramLabel = "FOLDER",
            required = true,
            description = "The root folder of the sources to write.")
    private Path into;

    @Option(
            names = "--package",
            paramLabel = "NAME",
            description = "The package of the doubles. Default: that of each type.")
    private String packageName = "";

    @Option(
            names = "--mark-generated",
            description = "Marks written doubles with javax.annotation.processing.Generated, for null checkers.")
    private boolean markGenerated;

    @Option(names = "--check", description = "Writes nothing; exit code 1 if a file is missing or out of date.")
    private boolean check;

    @Option(names = "--dry-run", description = "Writes nothing; shows what would be written.")
    private boolean dryRun;

    @Option(names = "--force", description = "Also overwrites files that were edited by hand.")
    private boolean force;

    GenerateCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        if (from.isEmpty() && types.isEmpty()) {
            throw new ParameterException(spec.commandLine(), "Say what to write doubles for, with --from or --type.");
        }
        refuseWrongUse();
        Set<Style> chosen = chosenStyles();
        Generator generator = new Generator(paths(classPath), new ProgressLines(terminal.err()));
        if (markGenerated) {
            generator.markingGenerated();
        }
        if (!from.isEmpty()) {
            generator.addFrom(from, only);
        }
        if (!types.isEmpty()) {
            generator.addTypes(types);
        }
        Generator.Plan plan = generator.plan(chosen, packageName, into, again());
        List<GeneratedFile> outcomes = check || dryRun ? plan.compare() : write(plan);
        print(outcomes, generator.leftOut());
        generator.hints().forEach(terminal.err()::println);
        return exitCode(outcomes);
    }

    /** Each file is written completely or not at all; an interrupt prints how many were. */
    private List<GeneratedFile> write(Generator.Plan plan) {
        AtomicInteger written = new AtomicInteger();
        return Terminal.interruptible(
                () -> terminal.err()
                        .println("Interrupted: " + written + (written.get() == 1 ? " file was" : " files were")
                                + " written, each whole. Run the command again for the rest."),
                () -> plan.write(force, file -> written.incrementAndGet()));
    }

    private void refuseWrongUse() {
        OutputFile.refuseNoFolder(spec, into);
        refuseTogether(check && dryRun, "--check", "--dry-run");
        refuseTogether(check && force, "--check", "--force");
        refuseTogether(dryRun && force, "--dry-run", "--force");
        if (!packageName.isEmpty() && !SourceVersion.isName(packageName)) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--package=" + packageName + " is not a package name: give one such as dev.observatory.doubles.");
        }
        if (only.isBlank()) {
            throw new ParameterException(spec.commandLine(), "--only is empty: give names, or leave it out.");
        }
        for (Path place : paths(classPath)) {
            OptionCheck.refuseMissing(spec, place);
            if (Files.isRegularFile(place) && !isJar(place)) {
                throw new ParameterException(
                        spec.commandLine(),
                        place + ", given to --class-path, cannot be read as a jar. Give jars and folders.");
            }
        }
    }

    private void refuseTogether(boolean both, String one, String other) {
        if (both) {
            throw new ParameterException(
                    spec.commandLine(), one + " and " + other + " contradict each other: give one of them.");
        }
    }

    private static boolean isJar(Path file) {
        try (ZipFile jar = new ZipFile(file.toFile())) {
            return jar.size() >= 0;
        } catch (IOException e) {
            return false;
        }
    }

    private Set<Style> chosenStyles() {
        try {
            return Style.ofWords(styles);
        } catch (GenerateException e) {
            throw new ParameterException(spec.commandLine(), e.getMessage(), e);
        }
    }

    /** This command line without options that only try things out. */
    private String again() {
        StringBuilder command = new StringBuilder("zelotype generate");
        from.forEach(place -> command.append(" --from ").append(word(place)));
        types.forEach(type -> command.append(" --type ").append(word(type)));
        if (!only.equals("*")) {
            command.append(" --only ").append(word(only));
        }
        if (!classPath.isEmpty()) {
            command.append(" --class-path ").append(word(classPath));
        }
        command.append(" --style ").append(String.join(",", styles));
        command.append(" --into ").append(word(into));
        if (!packageName.isEmpty()) {
            command.append(" --package ").append(packageName);
        }
        if (markGenerated) {
            command.append(" --mark-generated");
        }
        return command.toString();
    }

    private static String word(Object word) {
        String text = word.toString().replace('\\', '/');
        return text.matches("[\\w./:@+-]+") ? text : "'" + text + "'";
    }

    private static List<Path> paths(String text) {
        return OptionCheck.entries(text).stream().map(Path::of).toList();
    }

    private void print(List<GeneratedFile> outcomes, List<String> leftOut) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (GeneratedFile outcome : outcomes) {
            counts.merge(words(outcome.state()), 1, Integer::sum);
            if (outcome.state() != State.SAME) {
                terminal.out().println(String.format("%-15s  %s", words(outcome.state()), outcome.file()));
                if (check || dryRun) {
                    outcome.difference().forEach(this::printChanged);
                }
            }
        }
        leftOut.forEach(reason -> terminal.out().println("left out         " + reason));
        List<String> words = new ArrayList<>();
        counts.forEach((state, count) -> words.add(count + " " + state));
        terminal.out().println(String.join(", ", words) + (check || dryRun ? "; nothing was written" : ""));
    }

    private void printChanged(String line) {
        String colour = line.startsWith("+") ? "fg(green)" : line.startsWith("-") ? "fg(red)" : "faint";
        terminal.out().println("    " + terminal.styled(colour, line));
    }

    private String words(State state) {
        return state.isWritten(force) && !check && !dryRun ? "written" : state.words();
    }

    private int exitCode(List<GeneratedFile> outcomes) {
        boolean stale = false;
        int edited = 0;
        int foreign = 0;
        for (GeneratedFile outcome : outcomes) {
            stale |= outcome.state() != State.SAME;
            edited += outcome.state() == State.EDITED && !force ? 1 : 0;
            foreign += outcome.state() == State.FOREIGN ? 1 : 0;
        }
        if (check) {
            return stale ? 1 : 0;
        }
        if (edited > 0 && !dryRun) {
            terminal.err()
                    .println(
                            edited == 1
                                    ? "A file edited by hand was left as it is. Overwrite it with --force."
                                    : edited + " files edited by hand were left as they are. Overwrite them with"
                                            + " --force.");
        }
        if (foreign > 0 && !dryRun) {
            terminal.err()
                    .println((foreign == 1 ? "A file that was" : foreign + " files that were")
                            + " never generated stand" + (foreign == 1 ? "s" : "")
                            + " in the way and stay" + (foreign == 1 ? "s" : "")
                            + ", even with --force. Move it, or write to another folder or package.");
        }
        return (edited > 0 || foreign > 0) && !dryRun ? 1 : 0;
    }
}
