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
import org.jspecify.annotations.Nullable;

/**
 * Tells which methods of a type are one method although their class files differ, since a parameter of one is a type
 * variable. Java's compiler writes a bridge for that, but none if an interface only inherits both methods. Compilers of
 * other languages write none for any interface, and neither did Java's before Java 8.
 */
final class Overriding {

    private final Class<?> type;
    /** The meaning of the type variables of each supertype; null until it is needed. */
    private @Nullable Map<TypeVariable<?>, Type> arguments;

    Overriding(Class<?> type) {
        this.type = type;
    }

    /**
     * Whether two methods of the type with the same name are one, which takes the arguments of the narrow one.
     *
     * @param narrow the method that takes fewer types of arguments in its class file
     */
    boolean overrides(Method narrow, Method wide) {
        if (!mayBeOne(narrow, wide) || !wide.getReturnType().isAssignableFrom(boxOf(narrow, wide.getReturnType()))) {
            return false;
        }
        Class<?>[] few = narrow.getParameterTypes();
        Class<?>[] many = wide.getParameterTypes();
        boolean differ = false;
        for (int i = 0; i < few.length; i++) {
            differ |= few[i] != many[i];
            if (!many[i].isAssignableFrom(few[i]) && !isBoxOf(narrow, few[i], many[i], null)) {
                return false;
            }
        }
        return differ && haveSameParameters(narrow, wide);
    }

    private boolean mayBeOne(Method narrow, Method wide) {
        return narrow.getParameterCount() == wide.getParameterCount()
                && wide.getDeclaringClass().getTypeParameters().length > 0
                && wide.getDeclaringClass().isAssignableFrom(type)
                && narrow.getDeclaringClass().isAssignableFrom(type);
    }

    /**
     * What a method of Kotlin gets and returns as the value of a value class, if another one gets and returns the objects.
     *
     * @param parameters the value classes of its parameters, with null for others
     * @param result the value class that it returns, if it does
     */
    record Unboxing(
            @Nullable Class<?>[] parameters, @Nullable Class<?> result) {}

    /** How to call a method for another one with value classes as type arguments; null if they are not one method. */
    @Nullable
    Unboxing unboxing(Method narrow, Method wide) {
        boolean suspends = KotlinCode.isSuspending(wide.getParameterTypes());
        Class<?>[] own = narrow.getParameterTypes();
        if (!mayBeOne(narrow, wide)) {
            return null;
        }
        try {
            Type[] declared = wide.getGenericParameterTypes();
            Class<?>[] boxes = new Class<?>[own.length];
            StringBuilder signature = new StringBuilder();
            for (int i = 0; i < own.length; i++) {
                Class<?> meant = erasure(declared[i]);
                Class<?> held = KotlinCode.heldBy(meant);
                if (own[i] != meant && own[i] != held) {
                    return null;
                }
                boxes[i] = own[i] == held ? meant : null;
                signature.append(held == null ? "_" : KotlinCode.named(meant, own[i] == meant));
            }
            Type given = suspends ? KotlinCode.given(wide) : wide.getGenericReturnType();
            Class<?> meant = given == null ? Object.class : erasure(given);
            Class<?> held = KotlinCode.heldBy(meant);
            // What overrides a suspending method gives the object, because the value may come later.
            boolean unboxed = !suspends && narrow.getReturnType() == held;
            if (held != null) {
                signature.append(':').append(KotlinCode.named(meant, !suspends && !unboxed));
            }
            return narrow.getName().equals(KotlinCode.withHash(wide.getName(), signature.toString()))
                    ? new Unboxing(boxes, unboxed ? meant : null)
                    : null;
        } catch (TypeNotPresentException | MalformedParameterizedTypeException e) {
            return null;
        }
    }

    private static Class<?> boxOf(Method method, Class<?> wanted) {
        Class<?> result = method.getReturnType();
        return wanted.isPrimitive()
                ? result
                : MethodType.methodType(result).wrap().returnType();
    }

    /** In Kotlin, a primitive parameter overrides one of any type; in Java, these would be two overloads. */
    private static boolean isBoxOf(Method narrow, Class<?> own, Class<?> erased, @Nullable Class<?> meant) {
        if (!own.isPrimitive() || erased.isPrimitive() || !KotlinCode.isOfKotlin(narrow.getDeclaringClass())) {
            return false;
        }
        Class<?> box = MethodType.methodType(own).wrap().returnType();
        return meant == null ? erased.isAssignableFrom(box) : meant == box;
    }

    private boolean haveSameParameters(Method narrow, Method wide) {
        try {
            Class<?>[] own = narrow.getParameterTypes();
            Class<?>[] erased = wide.getParameterTypes();
            Type[] declared = narrow.getGenericParameterTypes();
            Type[] overridden = wide.getGenericParameterTypes();
            for (int i = 0; i < own.length; i++) {
                Class<?> meant = erasure(overridden[i]);
                if (meant != erasure(declared[i]) && !isBoxOf(narrow, own[i], erased[i], meant)) {
                    return false;
                }
            }
            return true;
        } catch (TypeNotPresentException | MalformedParameterizedTypeException e) {
            // Without the missing class, its methods cannot be told apart.
            return false;
        }
    }

    private Map<TypeVariable<?>, Type> arguments() {
        Map<TypeVariable<?>, Type> known = arguments;
        if (known == null) {
            known = new HashMap<>();
            arguments = known;
            collect(type);
        }
        return known;
    }

    private void collect(Class<?> of) {
        if (of.getGenericSuperclass() != null) {
            collect(of.getGenericSuperclass());
        }
        for (Type each : of.getGenericInterfaces()) {
            collect(each);
        }
    }

    private void collect(Type supertype) {
        if (supertype instanceof ParameterizedType parameterized) {
            Class<?> raw = (Class<?>) parameterized.getRawType();
            Type[] given = parameterized.getActualTypeArguments();
            TypeVariable<?>[] variables = raw.getTypeParameters();
            for (int i = 0; i < given.length; i++) {
                arguments().put(variables[i], given[i]);
            }
            collect(raw);
        } else if (supertype instanceof Class<?> raw) {
            collect(raw);
        }
    }

    private Class<?> erasure(Type declared) {
        if (declared instanceof Class<?> known) {
            return known;
        } else if (declared instanceof ParameterizedType parameterized) {
            return (Class<?>) parameterized.getRawType();
        } else if (declared instanceof GenericArrayType array) {
            return Array.newInstance(erasure(array.getGenericComponentType()), 0)
                    .getClass();
        } else if (declared instanceof WildcardType wildcard) {
            return erasure(wildcard.getUpperBounds()[0]);
        }
        TypeVariable<?> variable = (TypeVariable<?>) declared;
        Type argument = arguments().get(variable);
        return erasure(argument == null ? variable.getBounds()[0] : argument);
    }
}
