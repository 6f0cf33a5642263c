package dev.zelotype.cli;

import java.lang.reflect.Constructor;
import java.util.Arrays;
import picocli.CommandLine;

/**
 * Gives commands the terminal to print to.
 */
final class CommandFactory implements CommandLine.IFactory {

    private final Terminal terminal;

    CommandFactory(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public <K> K create(Class<K> type) throws Exception {
        for (Constructor<?> constructor : type.getDeclaredConstructors()) {
            if (Arrays.equals(constructor.getParameterTypes(), new Class<?>[] {Terminal.class})) {
                return type.cast(constructor.newInstance(terminal));
            }
        }
        return CommandLine.defaultFactory().create(type);
    }
}
