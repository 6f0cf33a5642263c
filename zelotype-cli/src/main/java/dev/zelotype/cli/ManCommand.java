package dev.zelotype.cli;

import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Help.Ansi;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * Writes the manual page from the texts of the help.
 */
@Command(
        name = "generate-man",
        header = "Writes the manual page of this command, for man.",
        mixinStandardHelpOptions = true,
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "2:wrong use"},
        footerHeading = "%nExample:%n",
        footer = "  zelotype generate-man --into ~/.local/share/man/man1/zelotype.1")
final class ManCommand implements Callable<Integer> {

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Option(names = "--into", paramLabel = "FILE", description = "The file to write. Default: the terminal.")
    private Path into;

    ManCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        OutputFile.refuseFolder(spec, into);
        OutputFile.show(terminal, into, page(spec.root()));
        return 0;
    }

    private static String page(CommandSpec root) {
        StringBuilder out = new StringBuilder();
        String version = root.version().length == 0 ? "" : root.version()[0];
        out.append(".TH ZELOTYPE 1 \"\" \"").append(plain(version)).append("\"\n.SH NAME\n");
        out.append("zelotype \\- ")
                .append(plain(root.usageMessage().description()[0]))
                .append('\n');
        out.append(".SH SYNOPSIS\n.B zelotype\n.I COMMAND\n[OPTIONS]\n.SH COMMANDS\n");
        root.subcommands().values().stream()
                .map(CommandLine::getCommandSpec)
                .distinct()
                .forEach(command -> {
                    if (!command.usageMessage().hidden()) {
                        command(command, out);
                    }
                });
        out.append(".SH EXIT STATUS\n");
        root.usageMessage()
                .exitCodeList()
                .forEach((code, meaning) -> out.append(".TP\n")
                        .append(code)
                        .append('\n')
                        .append(plain(meaning))
                        .append('\n'));
        return out.toString();
    }

    private static void command(CommandSpec command, StringBuilder out) {
        String[] header = command.usageMessage().header();
        out.append(".SS ").append(command.name()).append('\n');
        for (String line : header.length == 0 ? command.usageMessage().description() : header) {
            out.append(plain(line)).append('\n');
        }
        for (OptionSpec option : command.options()) {
            if (!option.hidden()) {
                out.append(".TP\n\\fB")
                        .append(plain(String.join(", ", option.names())))
                        .append("\\fR");
                if (option.arity().max() > 0) {
                    out.append("=\\fI").append(plain(option.paramLabel())).append("\\fR");
                }
                out.append('\n');
                for (String line : option.description()) {
                    out.append(plain(line.replace("${DEFAULT-VALUE}", String.valueOf(option.defaultValue()))))
                            .append('\n');
                }
            }
        }
    }

    /** Removes what picocli and troff would interpret as commands. */
    private static String plain(String text) {
        String shown = Ansi.OFF.string(String.format(Locale.ROOT, text.replaceAll("%(?![n%])", "%%")));
        String escaped = shown.replace("\\", "\\e").replace("-", "\\-").strip();
        return escaped.startsWith(".") || escaped.startsWith("'") ? "\\&" + escaped : escaped;
    }
}
