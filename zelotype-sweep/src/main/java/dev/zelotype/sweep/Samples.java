package dev.zelotype.sweep;

import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Sample arguments and answers.
 */
final class Samples {

    private Samples() {}

    /** Arguments for a method or a constructor. */
    static Object[] arguments(Class<?>[] types) {
        Object[] arguments = new Object[types.length];
        for (int i = 0; i < types.length; i++) {
            arguments[i] = of(types[i], i);
        }
        return arguments;
    }

    /** A value of a type, different for each number if possible; null if none can be made. */
    static Object of(Class<?> type, int number) {
        if (type == boolean.class || type == Boolean.class) {
            return number % 2 == 0;
        } else if (type == char.class || type == Character.class) {
            return (char) ('a' + number);
        } else if (type == byte.class || type == Byte.class) {
            return (byte) (number + 1);
        } else if (type == short.class || type == Short.class) {
            return (short) (number + 1);
        } else if (type == int.class || type == Integer.class || type == Number.class) {
            return number + 1;
        } else if (type == long.class || type == Long.class) {
            return number + 1L;
        } else if (type == float.class || type == Float.class) {
            return number + 0.5f;
        } else if (type == double.class || type == Double.class) {
            return number + 0.5;
        } else if (type.isAssignableFrom(String.class) && type != Object.class) {
            return "text " + number;
        } else if (type == Object.class) {
            return new Object();
        } else if (type == Class.class) {
            return number % 2 == 0 ? Integer.class : Long.class;
        } else if (type.isArray()) {
            return Array.newInstance(type.getComponentType(), number + 1);
        } else if (type == List.class || type == Collection.class || type == Iterable.class) {
            return new ArrayList<>();
        } else if (type == Set.class) {
            return new HashSet<>();
        } else if (type == Map.class) {
            return new HashMap<>();
        } else if (type.isEnum()) {
            Object[] constants = type.getEnumConstants();
            return constants.length == 0 ? null : constants[number % constants.length];
        } else if (Throwable.class.isAssignableFrom(type)) {
            return thrown(type);
        } else if (type.isInterface() && !type.isSealed() && !type.isHidden()) {
            return proxy(type, Samples::nothing);
        }
        return null;
    }

    /** An exception of a type; null if it has no constructor with a message or without parameters. */
    static Throwable thrown(Class<?> type) {
        if (Modifier.isAbstract(type.getModifiers())) {
            return null;
        }
        for (Class<?>[] parameters : List.of(new Class<?>[] {String.class}, new Class<?>[0])) {
            try {
                Constructor<?> constructor = type.getDeclaredConstructor(parameters);
                if (constructor.trySetAccessible()) {
                    return (Throwable)
                            constructor.newInstance(parameters.length == 0 ? new Object[0] : new Object[] {"sample"});
                }
            } catch (ReflectiveOperationException | LinkageError e) {
                continue;
            }
        }
        return null;
    }

    /** An object of an interface; null if it cannot be implemented. */
    static Object proxy(Class<?> type, InvocationHandler handler) {
        try {
            ClassLoader loader = type.getClassLoader();
            return Proxy.newProxyInstance(
                    loader == null ? ClassLoader.getPlatformClassLoader() : loader,
                    new Class<?>[] {type},
                    (self, method, arguments) -> switch (method.getDeclaringClass() == Object.class
                            ? method.getName()
                            : "") {
                        case "equals" -> self == arguments[0];
                        case "hashCode" -> System.identityHashCode(self);
                        case "toString" -> "a sample of " + type.getName();
                        default -> handler.invoke(self, method, arguments);
                    });
        } catch (IllegalArgumentException | LinkageError e) {
            return null;
        }
    }

    private static Object nothing(Object self, Method method, Object[] arguments) {
        Class<?> returned = method.getReturnType();
        return returned.isPrimitive() && returned != void.class ? Array.get(Array.newInstance(returned, 1), 0) : null;
    }
}
