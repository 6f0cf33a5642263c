package dev.zelotype.engine.weave;

import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * A woven method or constructor, or a woven call.
 *
 * @param executable the method or constructor itself, as the JVM resolves the call
 * @param name its name in the class file
 * @param descriptor its descriptor in the class file
 * @param calling the class with the call; null if the method itself is woven
 * @param callingMethod class and name of the calling method; null if unknown
 */
public record WovenMethod(
        Executable executable,
        String name,
        String descriptor,
        @Nullable Class<?> calling,
        @Nullable String callingMethod) {

    /** A woven method. */
    static WovenMethod itself(Method method) {
        return new WovenMethod(method, method.getName(), Type.getMethodDescriptor(method), null, null);
    }

    /** A woven call site. */
    static WovenMethod atSite(Executable executable, Class<?> calling, @Nullable String callingMethod) {
        String name = executable instanceof Method ? executable.getName() : "<init>";
        String where = callingMethod == null ? null : calling.getName() + "." + callingMethod;
        return new WovenMethod(executable, name, Site.of(executable).descriptor(), calling, where);
    }

    /** The class that declares it. */
    public Class<?> owner() {
        return executable.getDeclaringClass();
    }
}
