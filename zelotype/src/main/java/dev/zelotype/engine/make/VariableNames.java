package dev.zelotype.engine.make;

/**
 * Names made up from types, and the words that names are made of.
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

    /** What a variable of a type would be called: {@code WeatherStation} gives {@code weatherStation}. */
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
