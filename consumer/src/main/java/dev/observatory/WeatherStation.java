package dev.observatory;

/** Measures the weather. */
public interface WeatherStation {
    int humidity();
}
