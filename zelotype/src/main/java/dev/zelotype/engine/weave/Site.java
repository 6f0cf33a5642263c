package dev.zelotype.engine.weave;

import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import org.objectweb.asm.Type;

/**
 * A static method or constructor whose calls are woven where they stand: those of the JDK, whose own code stays as it is,
 * and all constructors.
 *
 * @param owner the internal name of the class that declares it
 * @param name the method's name, or {@code <init>}
 * @param descriptor the method's descriptor
 */
record Site(String owner, String name, String descriptor) {

    static Site of(Executable executable) {
        String owner = Type.getInternalName(executable.getDeclaringClass());
        return executable instanceof Constructor<?> constructor
                ? new Site(owner, "<init>", Type.getConstructorDescriptor(constructor))
                : new Site(owner, executable.getName(), Type.getMethodDescriptor((Method) executable));
    }

    boolean isConstructor() {
        return name.equals("<init>");
    }

    /** By which classes that may call it are found: constructors are not inherited, methods are. */
    int key() {
        return isConstructor() ? hashCode() : 31 * name.hashCode() + descriptor.hashCode();
    }
}
