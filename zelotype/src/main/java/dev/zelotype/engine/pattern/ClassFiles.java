package dev.zelotype.engine.pattern;

import java.io.IOException;
import java.io.InputStream;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;

/**
 * The class files of loaded classes.
 */
final class ClassFiles {

    private ClassFiles() {}

    /** Lets a visitor look at a class's file; false if there is none that can be read. */
    static boolean visit(Class<?> type, ClassVisitor visitor, int options) {
        String file = type.getName().substring(type.getName().lastIndexOf('.') + 1) + ".class";
        try (InputStream in = type.getResourceAsStream(file)) {
            if (in == null) {
                return false;
            }
            new ClassReader(in.readAllBytes()).accept(visitor, options);
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }
}
