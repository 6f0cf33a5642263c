package dev.zelotype.journal;

/**
 * Texts of a journal in a form that is safe for terminals, tables and pages: they cannot move the cursor, change
 * colors, or reverse the direction of following text.
 */
final class Visible {

    private Visible() {}

    static String text(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (isHidden(text.charAt(i))) {
                return escaped(text);
            }
        }
        return text;
    }

    private static String escaped(String text) {
        StringBuilder out = new StringBuilder(text.length() + 16);
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            switch (c) {
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                case '\t' -> out.append("\\t");
                default -> out.append(isHidden(c) ? String.format("\\u%04x", (int) c) : String.valueOf(c));
            }
        }
        return out.toString();
    }

    private static boolean isHidden(char c) {
        if (c >= ' ' && c <= '~') {
            return false;
        }
        int type = Character.getType(c);
        return Character.isISOControl(c)
                || type == Character.FORMAT
                || type == Character.LINE_SEPARATOR
                || type == Character.PARAGRAPH_SEPARATOR
                || type == Character.UNASSIGNED;
    }
}
