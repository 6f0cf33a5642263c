package dev.zelotype.doubles;

import java.util.List;

/**
 * For readers of results: a type that doubles were made of. Immutable; more may be told in later versions.
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
     * @param methods the methods that its doubles answer, such as {@code humidityAt(String)}
     * @return the type
     */
    public static DoubledType of(String name, List<String> methods) {
        return new DoubledType(name, methods);
    }

    /**
     * The type's binary name.
     *
     * @return such as {@code dev.observatory.Dome}
     */
    public String name() {
        return name;
    }

    /**
     * The methods that its doubles answer.
     *
     * @return each with the simple names of its parameter types
     */
    public List<String> methods() {
        return methods;
    }

    /**
     * It in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return name + methods;
    }
}
