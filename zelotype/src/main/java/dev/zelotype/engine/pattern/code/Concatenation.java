package dev.zelotype.engine.pattern.code;

/**
 * String concatenation with the compiler's recipe.
 */
public final class Concatenation {

    private static final char ARGUMENT = '\1';
    private static final char CONSTANT = '\2';

    private Concatenation() {}

    /**
     * Concatenates a string.
     *
     * @param recipe the text with marks for its arguments
     * @param constants the recipe itself, then the constants
     */
    public static String of(String recipe, Object[] constants, Object[] arguments) {
        StringBuilder out = new StringBuilder();
        int argument = 0;
        int constant = 1;
        for (int i = 0; i < recipe.length(); i++) {
            char c = recipe.charAt(i);
            if (c == ARGUMENT) {
                out.append(arguments[argument++]);
            } else if (c == CONSTANT) {
                out.append(constants[constant++]);
            } else {
                out.append(c);
            }
        }
        return out.toString();
    }
}
