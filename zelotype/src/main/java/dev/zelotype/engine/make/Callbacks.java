package dev.zelotype.engine.make;

import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Arrays;

/**
 * What is handed over to be called back.
 */
public final class Callbacks {

    private Callbacks() {}

    /** Whether the type has just one method to write, apart from those that every object has, and is no mere value. */
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

    private static boolean isOfObject(Method method) {
        return Arrays.stream(Object.class.getMethods())
                .anyMatch(known -> known.getName().equals(method.getName())
                        && Arrays.equals(known.getParameterTypes(), method.getParameterTypes()));
    }
}
