package dev.zelotype.engine.weave;

import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * A method or constructor that asks before it runs, or a call of one that does.
 *
 * @param executable the method or constructor itself, as the JVM resolves the call
 * @param name its name in the class file
 * @param descriptor its descriptor in the class file
 * @param calling the class in which the call stands; null if the method itself asks
 * @param callingMethod class and name of the method in which the call stands; null if that is not known
 */
public record WovenMethod(
        Executable executable,
        String name,
        String descriptor,
        @Nullable Class<?> calling,
        @Nullable String callingMethod) {

    /** A method that asks itself. */
    static WovenMethod itself(Method method) {
        return new WovenMethod(method, method.getName(), Type.getMethodDescriptor(method), null, null);
    }

    /** A call that asks where it stands. */
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
