package dev.zelotype.engine.weave;

import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import org.objectweb.asm.Type;

/**
 * A static method or constructor whose call sites are woven: those of the JDK, whose own code is not changed, and all
 * constructors.
 *
 * @param owner the internal name of the declaring class
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

    /**
     * Written by hand, like {@link #equals}: the generated ones of a record are linked at their first use, which takes
     * milliseconds.
     */
    @Override
    public int hashCode() {
        return 31 * (31 * owner.hashCode() + name.hashCode()) + descriptor.hashCode();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Site site
                && owner.equals(site.owner)
                && name.equals(site.name)
                && descriptor.equals(site.descriptor);
    }

    /** How classes that may call it are found: constructors are not inherited, methods are. */
    int key() {
        return isConstructor() ? hashCode() : 31 * name.hashCode() + descriptor.hashCode();
    }
}
