package dev.zelotype.engine.weave;

import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;

/**
 * The class files of loaded classes, as their class loaders show them.
 */
public final class ClassFile {

    private ClassFile() {}

    /** The bytes of a class's file; null if there is none that can be read. */
    public static byte @Nullable [] of(Class<?> type) {
        String file = type.getName().substring(type.getName().lastIndexOf('.') + 1) + ".class";
        try (InputStream in = type.getResourceAsStream(file)) {
            return in == null ? null : in.readAllBytes();
        } catch (IOException e) {
            return null;
        }
    }
}
