package dev.zelotype.report.story;

/**
 * Writes whatever could mean something in a drawing's language as a character code.
 */
final class CharacterCodes {

    private CharacterCodes() {}

    /** Letters, digits and what is harmless stay; all else becomes its code between the prefix and a semicolon. */
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
