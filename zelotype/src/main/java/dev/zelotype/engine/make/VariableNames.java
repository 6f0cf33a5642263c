package dev.zelotype.engine.make;

import java.lang.reflect.Proxy;

/**
 * Names derived from types, and the words in names.
 */
public final class VariableNames {

    private VariableNames() {}

    /** The first word of a method's name: {@code getParent} gives {@code get}. */
    public static String firstWord(String method) {
        int end = 0;
        while (end < method.length() && !Character.isUpperCase(method.charAt(end))) {
            end++;
        }
        return method.substring(0, end);
    }

    /** The simple name of a class; of what it implements or extends if it has none, as an anonymous class or a lambda. */
    public static String simpleName(Class<?> type) {
        if (!type.isAnonymousClass() && !type.isHidden() && !Proxy.isProxyClass(type)) {
            return type.getSimpleName();
        }
        Class<?>[] interfaces = type.getInterfaces();
        return (interfaces.length > 0 ? interfaces[0] : type.getSuperclass()).getSimpleName();
    }

    /** The usual name of a variable of a type: {@code WeatherStation} gives {@code weatherStation}. */
    public static String of(Class<?> type) {
        String name = simpleName(type);
        int capitals = 1;
        while (capitals + 1 < name.length()
                && Character.isUpperCase(name.charAt(capitals))
                && Character.isUpperCase(name.charAt(capitals + 1))) {
            capitals++;
        }
        return name.substring(0, Math.min(capitals, name.length())).toLowerCase(java.util.Locale.ROOT)
                + name.substring(Math.min(capitals, name.length()));
    }
}
