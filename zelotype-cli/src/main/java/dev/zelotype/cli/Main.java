package dev.zelotype.cli;

import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.generate.GenerateException;
import dev.zelotype.journal.JournalException;
import dev.zelotype.report.site.ReportException;
import dev.zelotype.tools.Closest;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Help.Ansi.Style;
import picocli.CommandLine.Help.ColorScheme;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.TypeConversionException;
import picocli.CommandLine.UnmatchedArgumentException;

/**
 * The {@code zelotype} command.
 */
@Command(
        name = "zelotype",
        mixinStandardHelpOptions = true,
        versionProvider = Version.class,
        description = "Test doubles for Java: shows their calls, and writes them as source.",
        sortOptions = false,
        subcommands = {
            DemoCommand.class,
            StoryCommand.class,
            CoverageCommand.class,
            ReportCommand.class,
            CompareCommand.class,
            ChallengeCommand.class,
            GenerateCommand.class,
            ManCommand.class,
            CommandLine.HelpCommand.class,
            AutoComplete.GenerateCompletion.class
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:the check failed", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype demo",
            "  source <(zelotype generate-completion)        completes commands and options in bash and zsh"
        })
public final class Main implements Runnable {

    @Spec
    private CommandSpec spec;

    Main() {}

    /**
     * Runs the command and ends the JVM with its exit code.
     *
     * @param arguments the arguments as typed
     */
    public static void main(String[] arguments) {
        Terminal terminal = Terminal.ofProcess();
        System.exit(commandLine(terminal).execute(arguments));
    }

    static CommandLine commandLine(Terminal terminal) {
        CommandLine commandLine = new CommandLine(new Main(), new CommandFactory(terminal));
        commandLine.setUsageHelpWidth(terminal.width());
        commandLine.registerConverter(Path.class, Main::path);
        commandLine.setOut(terminal.out());
        commandLine.setErr(terminal.err());
        // Colors that can be read on white and on black.
        commandLine.setColorScheme(new ColorScheme.Builder(terminal.ansi())
                .commands(Style.bold)
                .options(Style.bold, Style.fg_cyan)
                .parameters(Style.fg_cyan)
                .optionParams(Style.italic)
                .build());
        commandLine.setParameterExceptionHandler(Main::pointOut);
        commandLine.setExecutionExceptionHandler(Main::explain);
        return commandLine;
    }

    private static Path path(String text) {
        try {
            return Path.of(text);
        } catch (InvalidPathException e) {
            throw new TypeConversionException(unwritable(e));
        }
    }

    private static String unwritable(InvalidPathException problem) {
        return "'" + problem.getInput() + "' cannot be written as a path with the characters of this system ("
                + System.getProperty("sun.jnu.encoding") + "). Set LANG to a locale that has them, such as C.UTF-8.";
    }

    /** What is wrong with the arguments, in a line or two; the full help is printed only on request. */
    private static int pointOut(ParameterException problem, String[] arguments) {
        CommandLine commandLine = problem.getCommandLine();
        PrintWriter err = commandLine.getErr();
        err.println(problem.getMessage());
        boolean suggested = UnmatchedArgumentException.printSuggestions(problem, err);
        if (!suggested && problem instanceof UnmatchedArgumentException unmatched) {
            suggest(unmatched, err);
        }
        err.println("For all options: " + commandLine.getCommandSpec().qualifiedName() + " --help");
        return CommandLine.ExitCode.USAGE;
    }

    private static void suggest(UnmatchedArgumentException problem, PrintWriter err) {
        List<String> options = problem.getCommandLine().getCommandSpec().options().stream()
                .map(OptionSpec::longestName)
                .toList();
        for (String each : problem.getUnmatched()) {
            List<String> closest =
                    each.startsWith("-") ? Closest.to(each.replaceFirst("=.*", ""), options) : List.<String>of();
            if (!closest.isEmpty()) {
                err.println("Did you mean " + String.join(" or ", closest) + "?");
            }
        }
    }

    private static int explain(Exception problem, CommandLine commandLine, CommandLine.ParseResult parsed)
            throws Exception {
        if (problem instanceof JournalException
                || problem instanceof ChallengeException
                || problem instanceof GenerateException
                || problem instanceof ReportException
                || problem instanceof UncheckedIOException) {
            PrintWriter err = commandLine.getErr();
            err.println(problem.getMessage());
            return CommandLine.ExitCode.USAGE;
        } else if (problem instanceof InvalidPathException path) {
            commandLine.getErr().println(unwritable(path));
            return CommandLine.ExitCode.USAGE;
        }
        throw problem;
    }

    @Override
    public void run() {
        throw new ParameterException(spec.commandLine(), "Say what to do.");
    }
}
