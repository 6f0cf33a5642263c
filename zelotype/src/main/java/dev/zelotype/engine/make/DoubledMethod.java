package dev.zelotype.engine.make;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.GenericTypes;
import dev.zelotype.basics.KotlinCode;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import org.objectweb.asm.Type;

/**
 * A method that a double answers, with its number. For a replaced class, also a constructor, a static method, or a
 * method of any instance, which then is its first argument.
 */
public final class DoubledMethod {

    private final int index;
    private final Executable executable;
    private final Class<?>[] parameterTypes;
    private final boolean ofObject;
    private final boolean suspends;
    private final Set<String> descriptors = new LinkedHashSet<>();

    public DoubledMethod(int index, Executable executable, Class<?>[] parameterTypes) {
        this.index = index;
        this.executable = executable;
        this.parameterTypes = parameterTypes;
        this.ofObject = isOfObject(executable, parameterTypes);
        this.suspends = KotlinCode.isSuspending(parameterTypes);
        descriptors.add(descriptorOf(executable));
    }

    DoubledMethod(int index, Method method) {
        this(index, method, method.getParameterTypes());
    }

    /** Whether it overrides a method of Object: a test may print and compare objects freely. */
    public static boolean isOfObject(Executable executable) {
        return isOfObject(executable, executable.getParameterTypes());
    }

    /** Compilers of other languages also produce static methods with these names. */
    private static boolean isOfObject(Executable executable, Class<?>[] parameters) {
        return !Modifier.isStatic(executable.getModifiers())
                && switch (executable.getName()) {
                    case "toString", "hashCode" -> parameters.length == 0;
                    case "equals" -> parameters.length == 1 && parameters[0] == Object.class;
                    default -> false;
                };
    }

    public static String descriptorOf(Executable executable) {
        return executable instanceof Method method
                ? Type.getMethodDescriptor(method)
                : Type.getConstructorDescriptor((Constructor<?>) executable);
    }

    /** Adds a descriptor for the same method: another supertype declares another return type. */
    void alsoCalledAs(Method other) {
        descriptors.add(descriptorOf(other));
    }

    Set<String> descriptors() {
        return descriptors;
    }

    /** The declared descriptor of the method. */
    public String descriptor() {
        return descriptorOf(executable);
    }

    public int index() {
        return index;
    }

    public String name() {
        return isConstructor() ? "new" : executable.getName();
    }

    /** The name with the simple names of the declared parameter types, for example {@code track(SkyTarget, int)}. */
    public String signature() {
        StringBuilder out = new StringBuilder(name()).append('(');
        Class<?>[] types = executable.getParameterTypes();
        // The continuation of a suspending method does not appear in source.
        for (Class<?> type : suspends() ? Arrays.copyOf(types, types.length - 1) : types) {
            out.append(out.charAt(out.length() - 1) == '(' ? "" : ", ").append(type.getSimpleName());
        }
        return out.append(')').toString();
    }

    /** Whether it is a suspending method of Kotlin, whose last argument is its continuation. */
    public boolean suspends() {
        return suspends;
    }

    public boolean isConstructor() {
        return executable instanceof Constructor;
    }

    /** Whether the first argument is the called instance. */
    public boolean takesInstance() {
        return parameterTypes.length > executable.getParameterCount();
    }

    /** The declared method, with the most specific of the inherited return types. */
    public Executable executable() {
        return executable;
    }

    public Class<?> returnType() {
        return executable instanceof Method method ? method.getReturnType() : executable.getDeclaringClass();
    }

    /** Whether a call returns no value: that of a constructor or of a void method. */
    public boolean givesNothing() {
        return isConstructor() || returnType() == void.class;
    }

    public java.lang.reflect.Type genericReturnType() {
        return executable instanceof Method method ? GenericTypes.ofResult(method) : returnType();
    }

    /** The types of the arguments. */
    public Class<?>[] parameterTypes() {
        return parameterTypes;
    }

    /** The name of an argument, or its position if the class file has no names. */
    public String parameterName(int argument) {
        int place = takesInstance() ? argument - 1 : argument;
        if (place < 0) {
            return "instance";
        }
        return executable.getParameters()[place].isNamePresent()
                ? executable.getParameters()[place].getName()
                : "argument " + (argument + 1);
    }

    /** Whether it is {@code toString}, {@code equals} or {@code hashCode}, which are not recorded. */
    public boolean ofObject() {
        return ofObject;
    }

    /** Whether the doubled type has code for it. */
    public boolean hasCode() {
        return !Modifier.isAbstract(executable.getModifiers());
    }

    /** Whether it is an interface's default method, which usually calls the interface's other methods. */
    public boolean isDefault() {
        return executable instanceof Method method && method.isDefault() && !waitsForOthers(method);
    }

    /** The JDK closes an executor by waiting until it has terminated, which a double without statements never does. */
    private static boolean waitsForOthers(Method method) {
        return method.getDeclaringClass() == ExecutorService.class
                && method.getName().equals("close");
    }

    /** Whether the method itself is woven, rather than the places that call it. */
    public boolean isWovenItself() {
        return executable instanceof Method && !CodeOwner.isOfJdk(executable.getDeclaringClass());
    }

    public boolean canThrow(Throwable thrown) {
        if (thrown instanceof RuntimeException || thrown instanceof Error) {
            return true;
        }
        for (Class<?> declared : executable.getExceptionTypes()) {
            if (declared.isInstance(thrown)) {
                return true;
            }
        }
        // Kotlin declares no exceptions, and may throw any.
        return KotlinCode.isOfKotlin(executable.getDeclaringClass());
    }
}
