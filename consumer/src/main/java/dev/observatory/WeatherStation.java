package dev.observatory;

/** Knows the weather. */
public interface WeatherStation {
    int humidity();
}
