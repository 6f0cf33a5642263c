package dev.zelotype.engine.make;

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

    /** The usual name of a variable of a type: {@code WeatherStation} gives {@code weatherStation}. */
    public static String of(Class<?> type) {
        String name = type.getSimpleName();
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
