package dev.zelotype.examples.guide;

import java.net.URI;
import javax.tools.SimpleJavaFileObject;

/**
 * A text that the compiler reads as a source file.
 */
final class TextAsFile extends SimpleJavaFileObject {

    private final String text;

    TextAsFile(String className, String text) {
        super(URI.create("string:///" + className + ".java"), Kind.SOURCE);
        this.text = text;
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
        return text;
    }
}
