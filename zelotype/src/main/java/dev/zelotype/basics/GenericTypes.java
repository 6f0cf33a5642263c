package dev.zelotype.basics;

import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import java.util.function.Supplier;

/**
 * Declared types with their type arguments; without these if one of them refers to a class that is missing.
 */
public final class GenericTypes {

    private GenericTypes() {}

    /**
     * Returns the declared result.
     *
     * @param method the method
     * @return the type
     */
    public static Type ofResult(Method method) {
        return orElse(method::getGenericReturnType, method.getReturnType());
    }

    /**
     * Returns the declared parameters.
     *
     * @param executable the method or constructor
     * @return the types
     */
    public static Type[] ofParameters(Executable executable) {
        return orElse(executable::getGenericParameterTypes, executable.getParameterTypes());
    }

    /**
     * Returns a declared type.
     *
     * @param <T> what is read
     * @param generic reads it with its type arguments
     * @param plain what to return if one of these is missing
     * @return the type
     */
    public static <T> T orElse(Supplier<T> generic, T plain) {
        try {
            return generic.get();
        } catch (TypeNotPresentException e) {
            return plain;
        }
    }
}
