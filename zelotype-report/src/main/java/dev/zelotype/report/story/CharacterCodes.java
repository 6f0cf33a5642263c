package dev.zelotype.report.story;

/**
 * Escapes all characters with a meaning in a drawing language as character codes.
 */
final class CharacterCodes {

    private CharacterCodes() {}

    /**
     * Letters, digits and harmless characters are kept; any other becomes its code between the prefix and a semicolon.
     */
    static String escape(String text, String harmless, String prefix) {
        StringBuilder safe = new StringBuilder();
        text.codePoints().forEach(c -> {
            if (Character.isLetterOrDigit(c) || harmless.indexOf(c) >= 0) {
                safe.appendCodePoint(c);
            } else {
                safe.append(prefix).append(c).append(';');
            }
        });
        return safe.toString();
    }
}
