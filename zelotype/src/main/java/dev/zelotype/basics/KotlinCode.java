package dev.zelotype.basics;

import java.lang.annotation.Annotation;
import java.lang.reflect.Executable;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Base64;
import org.jspecify.annotations.Nullable;

/**
 * For our own modules: how the Kotlin compiler translates Kotlin. Everything is found by name, so Kotlin itself is not
 * needed. Stateless.
 *
 * <pre>{@code
 * boolean suspends = KotlinCode.isSuspending(method.getParameterTypes());
 * }</pre>
 */
public final class KotlinCode {

    private static final String CONTINUATION = "kotlin.coroutines.Continuation";
    private static final String SUSPENDING = "Lkotlin/coroutines/Continuation;)Ljava/lang/Object;";
    private static final String UNIT = "kotlin.Unit";
    private static final String RESULT = "kotlin.Result";
    /** The length of the hash in the names of methods with value classes. */
    private static final int HASH = 7;

    private static final ClassValue<Boolean> OF_KOTLIN = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return isAnnotated(type, "kotlin.Metadata");
        }
    };

    /** The methods of a value class that box and unbox its value; null for other classes. */
    private static final ClassValue<@Nullable Box> BOXES = new ClassValue<>() {
        @Override
        protected @Nullable Box computeValue(Class<?> type) {
            return isAnnotated(type, "kotlin.jvm.JvmInline") ? boxOf(type) : null;
        }
    };

    private record Box(Method in, Method out) {}

    private KotlinCode() {}

    private static boolean isAnnotated(Class<?> type, String name) {
        for (Annotation each : type.getDeclaredAnnotations()) {
            if (each.annotationType().getName().equals(name)) {
                return true;
            }
        }
        return false;
    }

    private static @Nullable Box boxOf(Class<?> type) {
        Method in = null;
        Method out = null;
        for (Method each : type.getDeclaredMethods()) {
            if (each.getName().equals("box-impl")) {
                in = each;
            } else if (each.getName().equals("unbox-impl")) {
                out = each;
            }
        }
        if (in == null || out == null || !in.trySetAccessible() || !out.trySetAccessible()) {
            return null;
        }
        return new Box(in, out);
    }

    /**
     * Tells whether a class was written in Kotlin.
     *
     * @param type the class
     * @return whether it was
     */
    public static boolean isOfKotlin(Class<?> type) {
        return OF_KOTLIN.get(type);
    }

    /**
     * Tells whether a type is Kotlin's continuation, or extends it.
     *
     * @param type the type, or null
     * @return whether it is
     */
    public static boolean isContinuation(@Nullable Class<?> type) {
        if (type == null || type.getName().equals(CONTINUATION)) {
            return type != null;
        }
        for (Class<?> each : type.getInterfaces()) {
            if (isContinuation(each)) {
                return true;
            }
        }
        return isContinuation(type.getSuperclass());
    }

    /**
     * Tells whether a method suspends: its last parameter is a continuation, added by the compiler.
     *
     * @param parameters the types of its parameters
     * @return whether it does
     */
    public static boolean isSuspending(Class<?>[] parameters) {
        return parameters.length > 0
                && parameters[parameters.length - 1].getName().equals(CONTINUATION);
    }

    /**
     * Tells whether a method suspends, by its descriptor only.
     *
     * @param descriptor the descriptor, after any other text
     * @return whether it does
     */
    public static boolean isSuspending(String descriptor) {
        return descriptor.endsWith(SUSPENDING);
    }

    /**
     * Returns the result type of a suspending method, which only its continuation reveals.
     *
     * @param method the method
     * @return the type; null if unknown
     */
    public static @Nullable Type given(Method method) {
        Type[] types = GenericTypes.ofParameters(method);
        if (!(types[types.length - 1] instanceof ParameterizedType continuation)) {
            return null;
        }
        Type given = continuation.getActualTypeArguments()[0];
        return given instanceof WildcardType wild && wild.getLowerBounds().length == 1
                ? wild.getLowerBounds()[0]
                : given;
    }

    /**
     * Tells whether a value is Kotlin's {@code Unit}.
     *
     * @param value the value
     * @return whether it is
     */
    public static boolean isUnit(@Nullable Object value) {
        return value != null && value.getClass().getName().equals(UNIT);
    }

    /**
     * Returns Kotlin's {@code Unit}, if that is the type.
     *
     * @param type the return type of a method
     * @return its only object, or null
     */
    public static @Nullable Object unit(Class<?> type) {
        return type.getName().equals(UNIT) ? only(type) : null;
    }

    /**
     * Returns the only object of a class, as {@code object} and {@code companion object} make them in Kotlin.
     *
     * @param type the class
     * @return the object; null if the class may have several
     */
    public static @Nullable Object only(Class<?> type) {
        if (!isOfKotlin(type)) {
            return null;
        }
        Object own = held(type, "INSTANCE", type);
        Class<?> around = type.getEnclosingClass();
        return own != null || around == null ? own : held(around, type.getSimpleName(), type);
    }

    private static @Nullable Object held(Class<?> by, String name, Class<?> type) {
        try {
            Field field = by.getDeclaredField(name);
            return field.getType() == type && field.trySetAccessible() ? field.get(null) : null;
        } catch (ReflectiveOperationException e) {
            return null;
        }
    }

    /**
     * Returns the type of the value in a value class.
     *
     * @param type the class
     * @return the type of the value; null for other classes
     */
    public static @Nullable Class<?> heldBy(Class<?> type) {
        Box box = BOXES.get(type);
        return box == null ? null : box.out().getReturnType();
    }

    /**
     * Returns the value in an object of a value class.
     *
     * @param object the object
     * @return the value
     */
    public static @Nullable Object unboxed(Object object) {
        Box box = BOXES.get(object.getClass());
        return box == null ? object : run(box.out(), object);
    }

    /**
     * Returns an object of a value class.
     *
     * @param type the class
     * @param value the content
     * @return the object; the value itself for other classes
     */
    public static @Nullable Object boxed(Class<?> type, @Nullable Object value) {
        Box box = BOXES.get(type);
        return box == null ? value : run(box.in(), null, value);
    }

    private static @Nullable Object run(Method method, @Nullable Object target, @Nullable Object... arguments) {
        try {
            return method.invoke(target, arguments);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * Converts an answer to what the method returns in bytecode: Kotlin unboxes value classes, and returns nothing for
     * {@code Unit}.
     *
     * @param answer the answer as the test states it
     * @param method the method, or the constructor
     * @param suspends whether the method suspends
     * @return the answer in bytecode form
     */
    public static @Nullable Object asGiven(@Nullable Object answer, Executable method, boolean suspends) {
        Class<?> returnType = method instanceof Method known ? known.getReturnType() : method.getDeclaringClass();
        Class<?> held = answer == null ? null : heldBy(answer.getClass());
        if (held != null && suspends && givesBoxed((Method) method)) {
            return answer;
        }
        return held == returnType && isReturnedBy(method, answer.getClass())
                ? unboxed(answer)
                : asGiven(answer, returnType, suspends);
    }

    /**
     * Tells whether a suspending method gives objects of a value class. If it overrides a method of a general type, its
     * caller may not know that class.
     *
     * @param method the method
     * @return whether it does; false if it gives only the value
     */
    public static boolean givesBoxed(Method method) {
        String plain = withoutHash(method.getName());
        return !plain.equals(method.getName())
                && isAbove(method.getDeclaringClass(), plain, method.getParameterCount());
    }

    private static boolean isAbove(@Nullable Class<?> type, String name, int parameters) {
        if (type == null) {
            return false;
        }
        for (Method each : Reflected.orElse(type::getDeclaredMethods, new Method[0])) {
            if (each.getName().equals(name)
                    && each.getParameterCount() == parameters
                    && isSuspending(each.getParameterTypes())) {
                return true;
            }
        }
        boolean found = isAbove(type.getSuperclass(), name, parameters);
        for (Class<?> each : type.getInterfaces()) {
            found = found || isAbove(each, name, parameters);
        }
        return found;
    }

    /**
     * Converts an answer to what a method of some type returns in bytecode, if its name tells nothing.
     *
     * @param answer the answer as the test states it
     * @param returnType the declared return type of the method
     * @param suspends whether the method suspends
     * @return the answer in bytecode form
     */
    public static @Nullable Object asGiven(@Nullable Object answer, Class<?> returnType, boolean suspends) {
        if (answer == null) {
            return null;
        } else if (returnType == void.class && isUnit(answer)) {
            return null;
        }
        Class<?> held = heldBy(answer.getClass());
        boolean taken = held != null
                && (!returnType.isInstance(answer) || suspends && returnType == Object.class && !held.isPrimitive());
        return taken ? unboxed(answer) : answer;
    }

    /**
     * Whether a method returns a value class, if its class file also allows any other object. The compiler puts a hash of
     * the value classes among the parameters and of the result at the end of the name.
     */
    private static boolean isReturnedBy(Executable method, Class<?> valueClass) {
        if (Modifier.isStatic(method.getModifiers())) {
            // Functions outside a class have no hash.
            return valueClass.getName().equals(RESULT) && isOfKotlin(method.getDeclaringClass());
        }
        String name = method.getName();
        String plain = withoutHash(name);
        String signature = "_".repeat(method.getParameterCount()) + ":" + named(valueClass, false);
        // Which of the parameters are value classes is unknown; hardly any method returns a result as just an object.
        return !plain.equals(name) && (valueClass.getName().equals(RESULT) || name.equals(withHash(plain, signature)));
    }

    /**
     * Returns the name of a method in the source.
     *
     * @param name the name in the class file
     * @return the name without the hash that the compiler adds if there are value classes in its signature
     */
    public static String withoutHash(String name) {
        int at = name.length() - HASH - 1;
        return at > 0 && name.charAt(at) == '-' ? name.substring(0, at) : name;
    }

    /**
     * Returns how a value class is named in a signature with a hash.
     *
     * @param valueClass the class
     * @param nullable whether null is allowed
     * @return its part of the signature
     */
    public static String named(Class<?> valueClass, boolean nullable) {
        return "L" + valueClass.getCanonicalName() + (nullable ? "?;" : ";");
    }

    /**
     * Returns the name of a method with value classes in a class file.
     *
     * @param name its name in the source
     * @param signature the value classes among its parameters, {@code _} for others; a colon and the value class that it
     *     returns, if it does
     * @return the name with its hash
     */
    public static String withHash(String name, String signature) {
        try {
            byte[] whole = MessageDigest.getInstance("MD5").digest(signature.getBytes(StandardCharsets.UTF_8));
            return name + "-" + Base64.getUrlEncoder().withoutPadding().encodeToString(Arrays.copyOf(whole, 5));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Each JVM has this algorithm.", e);
        }
    }

    /**
     * Tells whether a call resumes a suspended method, and is not a call of the program.
     *
     * @param owner the class that declares the method
     * @param method its name
     * @param arguments the arguments of the call
     * @return whether it is
     */
    public static boolean resumes(Class<?> owner, String method, Object[] arguments) {
        Object last = arguments.length == 0 ? null : arguments[arguments.length - 1];
        if (last == null || !last.getClass().getName().startsWith(owner.getName() + "$" + method + "$")) {
            return false;
        }
        try {
            Field label = last.getClass().getDeclaredField("label");
            return label.trySetAccessible() && label.getInt(last) < 0;
        } catch (ReflectiveOperationException e) {
            return false;
        }
    }
}
