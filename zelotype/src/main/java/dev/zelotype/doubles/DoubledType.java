package dev.zelotype.doubles;

import java.util.List;

/**
 * For readers of results: a doubled type. Immutable; later versions may have more parts.
 *
 * @since 0.2
 */
public final class DoubledType {

    private final String name;
    private final List<String> methods;

    private DoubledType(String name, List<String> methods) {
        this.name = name;
        this.methods = List.copyOf(methods);
    }

    /**
     * A type.
     *
     * @param name its binary name
     * @param methods the methods of its doubles, for example {@code humidityAt(String)}
     * @return the type
     */
    public static DoubledType of(String name, List<String> methods) {
        return new DoubledType(name, methods);
    }

    /**
     * Returns the type's binary name.
     *
     * @return for example {@code dev.observatory.Dome}
     */
    public String name() {
        return name;
    }

    /**
     * Returns the methods of its doubles.
     *
     * @return each with the simple names of its parameter types
     */
    public List<String> methods() {
        return methods;
    }

    /**
     * Returns it in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return name + methods;
    }
}
