package dev.observatory;

/** Measures what the air is like. */
public interface WeatherStation {

    /** The humidity, in percent. */
    int humidity();
}
