package dev.zelotype.cli;

import dev.zelotype.generate.GenerateException;
import dev.zelotype.journal.JournalException;
import dev.zelotype.report.site.ReportException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * The {@code zelotype} command.
 */
@Command(
        name = "zelotype",
        mixinStandardHelpOptions = true,
        versionProvider = Version.class,
        description = "Test doubles for Java: see what they were asked, and write them as source.",
        sortOptions = false,
        subcommands = {
            DemoCommand.class,
            StoryCommand.class,
            CoverageCommand.class,
            ReportCommand.class,
            GenerateCommand.class,
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
        commandLine.setUsageHelpWidth(100);
        commandLine.setOut(terminal.out());
        commandLine.setErr(terminal.err());
        commandLine.setColorScheme(CommandLine.Help.defaultColorScheme(terminal.ansi()));
        commandLine.setExecutionExceptionHandler(Main::explain);
        return commandLine;
    }

    private static int explain(Exception problem, CommandLine commandLine, CommandLine.ParseResult parsed)
            throws Exception {
        if (problem instanceof JournalException
                || problem instanceof GenerateException
                || problem instanceof ReportException
                || problem instanceof UncheckedIOException) {
            PrintWriter err = commandLine.getErr();
            err.println(problem.getMessage());
            return CommandLine.ExitCode.USAGE;
        }
        throw problem;
    }

    @Override
    public void run() {
        throw new ParameterException(spec.commandLine(), "Say what to do.");
    }
}
