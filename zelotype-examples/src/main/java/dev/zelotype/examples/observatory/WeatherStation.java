package dev.zelotype.examples.observatory;

/**
 * Measures the air around the domes.
 */
public interface WeatherStation {

    /** The humidity at the site, in percent. */
    int humidity();

    /** The humidity at one dome, in percent. */
    int humidityAt(String dome);
}
