package dev.zelotype.cli;

import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Outcome;
import dev.zelotype.generate.Outcome.State;
import dev.zelotype.generate.Style;
import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Predicate;
import java.util.regex.Pattern;
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
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Writes doubles as plain Java source that needs no library, from interfaces and abstract classes."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {
            "0:done",
            "1:with --check, something is out of date; else, a file edited by hand was left",
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

    @Option(names = "--from", paramLabel = "PATH", description = "Source files, folders of them, or jars.")
    private List<Path> from = new ArrayList<>();

    @Option(
            names = "--only",
            paramLabel = "NAMES",
            description = "Of those sources, only types whose qualified name fits; * stands for anything.")
    private String only = "*";

    @Option(names = "--type", paramLabel = "NAME", description = "A type of the class path or of the JDK.")
    private List<String> types = new ArrayList<>();

    @Option(names = "--class-path", paramLabel = "PATH", description = "Jars and folders that the types refer to.")
    private String classPath = "";

    @Option(
            names = "--style",
            paramLabel = "STYLE",
            split = ",",
            defaultValue = "stub",
            description = "base, stub, spy, fake; several with commas. Default: stub.")
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
        EnumSet<Style> chosen = styles();
        Generator generator = new Generator(paths(classPath));
        if (!from.isEmpty()) {
            Pattern wanted = Pattern.compile(Pattern.quote(only).replace("*", "\\E.*\\Q"));
            addAll(generator, name -> wanted.matcher(name).matches());
        }
        if (!types.isEmpty()) {
            generator.addTypes(types);
        }
        Generator.Plan plan = generator.plan(chosen, packageName, into);
        List<Outcome> outcomes = check || dryRun ? plan.compare() : plan.write(force);
        print(outcomes, generator.leftOut());
        return exitCode(outcomes);
    }

    private void addAll(Generator generator, Predicate<String> wanted) {
        List<Path> sources = new ArrayList<>();
        for (Path place : from) {
            if (place.toString().endsWith(".jar")) {
                generator.addClasses(place, wanted);
            } else {
                sources.add(place);
            }
        }
        if (!sources.isEmpty()) {
            generator.addSources(sources, wanted);
        }
    }

    private static List<Path> paths(String text) {
        List<Path> paths = new ArrayList<>();
        for (String entry : text.split(File.pathSeparator)) {
            if (!entry.isBlank()) {
                paths.add(Path.of(entry));
            }
        }
        return paths;
    }

    private EnumSet<Style> styles() {
        EnumSet<Style> chosen = EnumSet.noneOf(Style.class);
        for (String word : styles) {
            for (Style style : Style.values()) {
                if (style.word().equals(word.strip())) {
                    chosen.add(style);
                    word = "";
                    break;
                }
            }
            if (!word.isEmpty()) {
                throw new ParameterException(
                        spec.commandLine(), "There is no style '" + word + "': give base, stub, spy or fake.");
            }
        }
        return chosen;
    }

    private void print(List<Outcome> outcomes, List<String> leftOut) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Outcome outcome : outcomes) {
            counts.merge(words(outcome.state()), 1, Integer::sum);
            if (outcome.state() != State.SAME) {
                terminal.out().println(String.format("%-15s  %s", words(outcome.state()), outcome.file()));
            }
        }
        leftOut.forEach(reason -> terminal.out().println("left out         " + reason));
        List<String> words = new ArrayList<>();
        counts.forEach((state, count) -> words.add(count + " " + state));
        terminal.out().println(String.join(", ", words) + (check || dryRun ? "; nothing was written" : ""));
    }

    private String words(State state) {
        boolean written = state == State.NEW || state == State.STALE || force && state == State.EDITED;
        return written && !check && !dryRun ? "written" : state.words();
    }

    private int exitCode(List<Outcome> outcomes) {
        boolean stale = false;
        boolean edited = false;
        for (Outcome outcome : outcomes) {
            stale |= outcome.state() != State.SAME;
            edited |= outcome.state() == State.EDITED;
        }
        if (check) {
            return stale ? 1 : 0;
        }
        if (edited && !force && !dryRun) {
            terminal.err().println("Files edited by hand were left as they are. Overwrite them with --force.");
            return 1;
        }
        return 0;
    }
}
