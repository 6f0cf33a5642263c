package dev.zelotype.engine.make;

/**
 * Names made up from types.
 */
public final class VariableNames {

    private VariableNames() {}

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
