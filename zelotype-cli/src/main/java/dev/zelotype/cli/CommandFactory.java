package dev.zelotype.cli;

import picocli.CommandLine;

/**
 * Gives the commands the terminal that they print to.
 */
final class CommandFactory implements CommandLine.IFactory {

    private final Terminal terminal;

    CommandFactory(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public <K> K create(Class<K> type) throws Exception {
        if (type == DemoCommand.class) {
            return type.cast(new DemoCommand(terminal));
        } else if (type == GenerateCommand.class) {
            return type.cast(new GenerateCommand(terminal));
        }
        return CommandLine.defaultFactory().create(type);
    }
}
