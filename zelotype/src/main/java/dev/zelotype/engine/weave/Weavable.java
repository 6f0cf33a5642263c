package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Members;
import java.lang.invoke.MethodHandles;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import org.objectweb.asm.Type;

/**
 * What can be woven, and where. Needs no agent, so that it can be used without one.
 */
public final class Weavable {

    /** The JVM's limit for the arguments of a linked call: a long or double counts twice. */
    private static final int WIDEST = 250;

    private Weavable() {}

    /** Whether a method or constructor has more parameters than a woven call can pass on. */
    public static boolean isTooWide(Executable executable) {
        int slots = 0;
        for (Class<?> type : executable.getParameterTypes()) {
            slots += type == long.class || type == double.class ? 2 : 1;
        }
        return slots > WIDEST;
    }

    /**
     * Whether calls of a method or constructor can be woven: at the call site, for static methods of the JDK and for
     * constructors; else in the method itself.
     */
    public static boolean calls(Class<?> type, String name, String descriptor) {
        if (name.equals("<init>")) {
            return !type.isArray() && !Modifier.isAbstract(type.getModifiers()) && !isTooWide(type, descriptor);
        }
        for (Class<?> c = type; c != null; c = c.getSuperclass()) {
            for (Method method : Members.methods(c)) {
                if (method.getName().equals(name)
                        && Type.getMethodDescriptor(method).equals(descriptor)) {
                    return CodeOwner.isOfJdk(c) ? site(method) : method(method);
                }
            }
        }
        return false;
    }

    private static boolean isTooWide(Class<?> type, String descriptor) {
        for (Constructor<?> each : Members.constructors(type)) {
            if (Type.getConstructorDescriptor(each).equals(descriptor)) {
                return isTooWide(each);
            }
        }
        return false;
    }

    /** Whether a method of a class outside the JDK can be woven. */
    public static boolean method(Method method) {
        int without = Modifier.ABSTRACT | Modifier.NATIVE;
        return (method.getModifiers() & without) == 0
                && !method.isSynthetic()
                && !isTooWide(method)
                && !(method.getName().equals("finalize") && method.getParameterCount() == 0);
    }

    /** Whether call sites of a JDK method can be woven; methods that depend on their caller cannot. */
    public static boolean site(Method method) {
        return Modifier.isStatic(method.getModifiers())
                && !isTooWide(method)
                && !(method.getDeclaringClass() == MethodHandles.class
                        && method.getName().equals("lookup"));
    }
}
