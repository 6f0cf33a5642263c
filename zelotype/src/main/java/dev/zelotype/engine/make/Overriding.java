package dev.zelotype.engine.make;

import dev.zelotype.basics.KotlinCode;
import java.lang.invoke.MethodType;
import java.lang.reflect.Array;
import java.lang.reflect.GenericArrayType;
import java.lang.reflect.MalformedParameterizedTypeException;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.lang.reflect.WildcardType;
import java.util.HashMap;
import java.util.Map;

/**
 * Tells which method overrides another one although their class files differ, since a parameter of the other one is a
 * type variable. Java's compiler writes a bridge then. Compilers of other languages write none for interfaces, and neither
 * did Java's before Java 8.
 */
final class Overriding {

    /** The meaning of the type variables of each supertype. */
    private final Map<TypeVariable<?>, Type> arguments = new HashMap<>();

    private Overriding() {}

    /**
     * Whether a method overrides one of a supertype with other parameters in its class file.
     *
     * @param narrow the method of the subtype
     * @param wide a method with the same name
     */
    static boolean overrides(Method narrow, Method wide) {
        Class<?> type = narrow.getDeclaringClass();
        Class<?> supertype = wide.getDeclaringClass();
        if (narrow.getParameterCount() != wide.getParameterCount()
                || supertype == type
                || !supertype.isAssignableFrom(type)
                || supertype.getTypeParameters().length == 0
                || !wide.getReturnType().isAssignableFrom(boxOf(narrow, wide.getReturnType()))) {
            return false;
        }
        try {
            Overriding here = new Overriding();
            here.collect(type);
            return here.haveSameParameters(narrow, wide);
        } catch (TypeNotPresentException | MalformedParameterizedTypeException e) {
            // Without the missing class, its methods cannot be told apart.
            return false;
        }
    }

    private static Class<?> boxOf(Method method, Class<?> wanted) {
        Class<?> result = method.getReturnType();
        return wanted.isPrimitive()
                ? result
                : MethodType.methodType(result).wrap().returnType();
    }

    private void collect(Class<?> type) {
        if (type.getGenericSuperclass() != null) {
            collect(type.getGenericSuperclass());
        }
        for (Type each : type.getGenericInterfaces()) {
            collect(each);
        }
    }

    private void collect(Type supertype) {
        if (supertype instanceof ParameterizedType parameterized) {
            Class<?> raw = (Class<?>) parameterized.getRawType();
            Type[] given = parameterized.getActualTypeArguments();
            TypeVariable<?>[] variables = raw.getTypeParameters();
            for (int i = 0; i < given.length; i++) {
                arguments.put(variables[i], given[i]);
            }
            collect(raw);
        } else if (supertype instanceof Class<?> raw) {
            collect(raw);
        }
    }

    private boolean haveSameParameters(Method narrow, Method wide) {
        Class<?>[] own = narrow.getParameterTypes();
        Class<?>[] erased = wide.getParameterTypes();
        Type[] declared = wide.getGenericParameterTypes();
        boolean differ = false;
        for (int i = 0; i < own.length; i++) {
            Class<?> meant = erasure(declared[i]);
            // In Java, these would be two overloads.
            boolean boxed = own[i].isPrimitive()
                    && KotlinCode.isOfKotlin(narrow.getDeclaringClass())
                    && !erased[i].isPrimitive()
                    && meant == MethodType.methodType(own[i]).wrap().returnType();
            if (meant != own[i] && !boxed) {
                return false;
            }
            differ |= own[i] != erased[i];
        }
        return differ;
    }

    private Class<?> erasure(Type type) {
        if (type instanceof Class<?> known) {
            return known;
        } else if (type instanceof ParameterizedType parameterized) {
            return (Class<?>) parameterized.getRawType();
        } else if (type instanceof GenericArrayType array) {
            return Array.newInstance(erasure(array.getGenericComponentType()), 0)
                    .getClass();
        } else if (type instanceof WildcardType wildcard) {
            return erasure(wildcard.getUpperBounds()[0]);
        }
        TypeVariable<?> variable = (TypeVariable<?>) type;
        Type argument = arguments.get(variable);
        return erasure(argument == null ? variable.getBounds()[0] : argument);
    }
}
