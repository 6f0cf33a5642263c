package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.SerializableString;
import com.fasterxml.jackson.core.io.CharacterEscapes;
import com.fasterxml.jackson.core.io.SerializedString;
import java.io.IOException;
import java.io.Writer;

/**
 * JSON that is safe inside a script element of a page.
 */
final class ScriptJson {

    private static final JsonFactory JSON = new JsonFactory();

    private ScriptJson() {}

    /** Something that writes a part of it. */
    interface Content {
        void write(JsonGenerator out) throws IOException;
    }

    static void write(Writer out, Content content) throws IOException {
        try (JsonGenerator json = JSON.createGenerator(out)) {
            json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
            json.setCharacterEscapes(new ScriptSafe());
            content.write(json);
        }
    }

    /** Escapes what a browser could take for the end of a script. */
    private static final class ScriptSafe extends CharacterEscapes {

        private static final long serialVersionUID = 1L;
        private final int[] ascii = standardAsciiEscapesForJSON();

        ScriptSafe() {
            for (char c : new char[] {'<', '>', '&', '\''}) {
                ascii[c] = ESCAPE_CUSTOM;
            }
        }

        @Override
        public int[] getEscapeCodesForAscii() {
            return ascii.clone();
        }

        @Override
        public SerializableString getEscapeSequence(int c) {
            boolean special = c < 128 || c == '\u2028' || c == '\u2029';
            return special ? new SerializedString(String.format("\\u%04x", c)) : null;
        }
    }
}
