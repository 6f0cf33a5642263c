package dev.zelotype.engine.make;

import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.LinkedHashSet;
import java.util.Set;
import org.objectweb.asm.Type;

/**
 * A method that a double answers, under its number.
 */
public final class DoubledMethod {

    private final int index;
    private final Method method;
    private final Class<?>[] parameterTypes;
    private final boolean ofObject;
    private final Set<String> descriptors = new LinkedHashSet<>();

    DoubledMethod(int index, Method method) {
        this.index = index;
        this.method = method;
        this.parameterTypes = method.getParameterTypes();
        this.ofObject = isOfObject(method.getName(), parameterTypes);
        descriptors.add(Type.getMethodDescriptor(method));
    }

    private static boolean isOfObject(String name, Class<?>[] parameters) {
        return switch (name) {
            case "toString", "hashCode" -> parameters.length == 0;
            case "equals" -> parameters.length == 1 && parameters[0] == Object.class;
            default -> false;
        };
    }

    /** Adds a descriptor under which the same method can be called: another supertype declares another return type. */
    void alsoCalledAs(Method other) {
        descriptors.add(Type.getMethodDescriptor(other));
    }

    Set<String> descriptors() {
        return descriptors;
    }

    /** The descriptor of the method as declared. */
    public String descriptor() {
        return Type.getMethodDescriptor(method);
    }

    public int index() {
        return index;
    }

    public String name() {
        return method.getName();
    }

    /** The method as declared, with the most specific return type of those that were inherited. */
    public Method method() {
        return method;
    }

    public Class<?> returnType() {
        return method.getReturnType();
    }

    public Class<?>[] parameterTypes() {
        return parameterTypes;
    }

    /** Whether it is one of {@code toString}, {@code equals} and {@code hashCode}, which are not recorded. */
    public boolean ofObject() {
        return ofObject;
    }

    /** Whether the doubled type has code for it. */
    public boolean hasCode() {
        return !Modifier.isAbstract(method.getModifiers());
    }

    public boolean canThrow(Throwable thrown) {
        if (thrown instanceof RuntimeException || thrown instanceof Error) {
            return true;
        }
        for (Class<?> declared : method.getExceptionTypes()) {
            if (declared.isInstance(thrown)) {
                return true;
            }
        }
        return false;
    }
}
