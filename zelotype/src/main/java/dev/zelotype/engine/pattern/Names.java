package dev.zelotype.engine.pattern;

/**
 * Names made up from types.
 */
public final class Names {

    private Names() {}

    /** What a variable of a type would be called: {@code WeatherStation} gives {@code weatherStation}. */
    public static String variable(Class<?> type) {
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
