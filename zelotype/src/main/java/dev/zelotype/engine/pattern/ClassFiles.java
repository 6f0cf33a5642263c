package dev.zelotype.engine.pattern;

import dev.zelotype.engine.weave.ClassFile;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;

/**
 * The class files of loaded classes.
 */
final class ClassFiles {

    private ClassFiles() {}

    /** Lets a visitor look at a class's file; false if there is none that can be read. */
    static boolean visit(Class<?> type, ClassVisitor visitor, int options) {
        byte[] code = ClassFile.of(type);
        if (code == null) {
            return false;
        }
        try {
            new ClassReader(code).accept(visitor, options);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
