package dev.zelotype.conversation;

import java.util.List;

/**
 * For readers of results: the source of a value of a call, as it would be written in a test. Immutable.
 *
 * <pre>{@code
 * ValueSource target = ValueSource.of("new SkyTarget(\"Harrow-2\", 47)", List.of("dev.observatory.SkyTarget"));
 * }</pre>
 *
 * @since 0.2
 */
public final class ValueSource {

    /** The text of the value is its source, for example for numbers, booleans and most strings. */
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
     * A value with a source.
     *
     * @param code an expression of Java
     * @param imports the qualified names of the types to import for it
     * @return it
     */
    public static ValueSource of(String code, List<String> imports) {
        return new ValueSource(code, imports, "");
    }

    /**
     * A value without a source, for example a lambda.
     *
     * @param type the qualified name of the declared type, without type arguments
     * @return it
     */
    public static ValueSource unwritten(String type) {
        return new ValueSource("", List.of(), type);
    }

    /**
     * The expression.
     *
     * @return the expression; empty if the text of the value is the expression, or if there is none
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
     * The type of a value without a source.
     *
     * @return its qualified name; empty if the value has a source
     */
    public String type() {
        return type;
    }

    /**
     * Tells whether the value has no source.
     *
     * @return true for a lambda, an object of a class without a literal, or a masked value
     */
    public boolean isUnwritten() {
        return !type.isEmpty();
    }

    /** Returns the expression, or the type. */
    @Override
    public String toString() {
        return code.isEmpty() ? type : code;
    }
}
