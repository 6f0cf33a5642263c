package dev.zelotype.engine.make;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What is handed over to be called back.
 */
public final class Callbacks {

    private static final Object[] NONE = {};
    /** By type, because each call that goes into a journal asks. */
    private static final ClassValue<Boolean> TAKES_FAILURE = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return takesFailure(type);
        }
    };

    private Callbacks() {}

    /** Whether the type has just one method to write, apart from those that every object has, and is not a plain value. */
    public static boolean isOne(Class<?> type) {
        if (!type.isInterface() || type == Comparable.class) {
            return false;
        }
        int open = 0;
        for (Method method : type.getMethods()) {
            open += Modifier.isAbstract(method.getModifiers()) && !isOfObject(method) ? 1 : 0;
        }
        return open == 1;
    }

    /** Whether the type may be told that something failed: it has one method to write, or several that give nothing back. */
    public static boolean mayTakeFailure(Class<?> type) {
        return TAKES_FAILURE.get(type);
    }

    private static boolean takesFailure(Class<?> type) {
        if (!type.isInterface() || type == Comparable.class) {
            return false;
        }
        boolean listens = false;
        boolean takesFailure = false;
        for (Method method : type.getMethods()) {
            if (Modifier.isAbstract(method.getModifiers()) && !isOfObject(method)) {
                if (!method.trySetAccessible() || method.getReturnType() != void.class && !isOne(type)) {
                    return false;
                }
                listens = true;
                for (Class<?> each : method.getParameterTypes()) {
                    takesFailure |= each == Object.class || Throwable.class.isAssignableFrom(each);
                }
            }
        }
        return listens && takesFailure;
    }

    /** What becomes of a call of a callback. */
    public interface Heard {
        @Nullable
        Object of(Method called, Object[] arguments) throws Throwable;
    }

    /**
     * An object that replaces a callback, whose own code runs for default methods.
     *
     * @param type the interface that it implements
     * @param callback what it replaces, and is equal to; null for nothing
     * @param text what it says that it is; null for what the callback says
     * @param heard is handed all calls of methods that are to be written
     */
    public static Object standingFor(Class<?> type, @Nullable Object callback, @Nullable String text, Heard heard) {
        ClassLoader loader =
                callback == null ? type.getClassLoader() : callback.getClass().getClassLoader();
        return Proxy.newProxyInstance(
                loader == null ? Callbacks.class.getClassLoader() : loader,
                new Class<?>[] {type},
                (proxy, method, arguments) -> {
                    Object[] passed = arguments == null ? NONE : arguments;
                    if (method.getDeclaringClass() == Object.class) {
                        return ofObject(method, proxy, passed, callback, text);
                    } else if (Modifier.isAbstract(method.getModifiers())) {
                        return heard.of(method, passed);
                    }
                    return callback == null
                            ? InvocationHandler.invokeDefault(proxy, method, passed)
                            : run(callback, method, passed);
                });
    }

    private static Object ofObject(
            Method method, Object proxy, Object[] passed, @Nullable Object callback, @Nullable String text) {
        return switch (method.getName()) {
            case "equals" -> proxy == passed[0] || callback != null && callback.equals(passed[0]);
            case "hashCode" -> callback == null ? System.identityHashCode(proxy) : callback.hashCode();
            default -> text == null ? String.valueOf(callback) : text;
        };
    }

    /** Runs a method of a callback. */
    public static @Nullable Object run(Object callback, Method method, Object[] arguments) throws Throwable {
        Access.open(method);
        try {
            return method.invoke(callback, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    private static boolean isOfObject(Method method) {
        return Arrays.stream(Object.class.getMethods())
                .anyMatch(known -> known.getName().equals(method.getName())
                        && Arrays.equals(known.getParameterTypes(), method.getParameterTypes()));
    }
}
