package dev.zelotype.engine.weave;

import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Adds a source file name to classes that were compiled without one. The JVM drops the file name of running code whose
 * class was changed, which is how such code is recognized.
 */
final class NamedSource extends ClassVisitor {

    private NamedSource(ClassVisitor out) {
        super(Opcodes.ASM9, out);
    }

    /** The visitor itself if the class file has a source file name. */
    static ClassVisitor of(byte[] code, ClassVisitor out) {
        return ClassFile.holds(code, "SourceFile") ? out : new NamedSource(out);
    }

    @Override
    public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
        super.visit(version, access, name, signature, parent, interfaces);
        String simple = name.substring(name.lastIndexOf('/') + 1);
        visitSource((simple.indexOf('$') > 0 ? simple.substring(0, simple.indexOf('$')) : simple) + ".java", null);
    }
}
