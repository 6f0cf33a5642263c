package dev.zelotype.conversation;

import java.util.List;

/**
 * For readers of results: how a value of a call would be written in a test. Immutable.
 *
 * <pre>{@code
 * ValueSource target = ValueSource.of("new SkyTarget(\"Harrow-2\", 47)", List.of("dev.observatory.SkyTarget"));
 * }</pre>
 *
 * @since 0.2
 */
public final class ValueSource {

    /** The text of the value is its source, as of numbers, truth values and most strings. */
    public static final ValueSource AS_TOLD = new ValueSource("", List.of(), "");

    private final String code;
    private final List<String> imports;
    private final String type;

    private ValueSource(String code, List<String> imports, String type) {
        this.code = code;
        this.imports = List.copyOf(imports);
        this.type = type;
    }

    /**
     * A value that can be written down.
     *
     * @param code an expression of Java
     * @param imports the qualified names of the types that have to be imported for it
     * @return it
     */
    public static ValueSource of(String code, List<String> imports) {
        return new ValueSource(code, imports, "");
    }

    /**
     * A value that cannot be written down, such as a lambda.
     *
     * @param type the qualified name of the type that the method declares, without type arguments
     * @return it
     */
    public static ValueSource unwritten(String type) {
        return new ValueSource("", List.of(), type);
    }

    /**
     * The expression.
     *
     * @return it; empty if the text of the value serves, or if it cannot be written down
     */
    public String code() {
        return code;
    }

    /**
     * The types to import for the expression.
     *
     * @return their qualified names
     */
    public List<String> imports() {
        return imports;
    }

    /**
     * The type of a value that cannot be written down.
     *
     * @return its qualified name; empty if it can be written down
     */
    public String type() {
        return type;
    }

    /**
     * Whether the value cannot be written down.
     *
     * @return true for a lambda, an object of a class without a literal, or a value that must not be shown
     */
    public boolean isUnwritten() {
        return !type.isEmpty();
    }

    /** The expression, or the type. */
    @Override
    public String toString() {
        return code.isEmpty() ? type : code;
    }
}
