package dev.zelotype.engine.make;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Arguments that are callbacks.
 */
public final class Callbacks {

    private static final Object[] NONE = {};
    /** Cached by type, because it is needed for each call in a journal. */
    private static final ClassValue<Boolean> TAKES_FAILURE = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return takesFailure(type);
        }
    };

    private Callbacks() {}

    /** Whether the type has exactly one abstract method, apart from those of Object, and is not a plain value. */
    public static boolean isOne(Class<?> type) {
        if (!type.isInterface() || type == Comparable.class) {
            return false;
        }
        int open = 0;
        for (Method method : Members.publicMethods(type)) {
            open += Modifier.isAbstract(method.getModifiers()) && !isOfObject(method) ? 1 : 0;
        }
        return open == 1;
    }

    /** Whether the type may receive a failure: it has one abstract method, or several void ones. */
    public static boolean mayTakeFailure(Class<?> type) {
        return TAKES_FAILURE.get(type);
    }

    private static boolean takesFailure(Class<?> type) {
        if (!type.isInterface() || type == Comparable.class) {
            return false;
        }
        boolean listens = false;
        boolean takesFailure = false;
        for (Method method : Members.publicMethods(type)) {
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

    /** What happens to a call of a callback. */
    public interface Heard {
        @Nullable
        Object of(Method called, Object[] arguments) throws Throwable;
    }

    /**
     * An object that replaces a callback; default methods run their own code.
     *
     * @param type the interface to implement
     * @param callback the replaced callback, which it equals; null for none
     * @param text its text; null for that of the callback
     * @param heard handles all calls of abstract methods
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
