package dev.zelotype.challenged;

/** A subject that behaves differently if the humidity has changed. */
final class Asker {

    int dry(Watch.Weather weather, Runnable otherwise) {
        int humidity = weather.humidity();
        if (humidity != 40) {
            otherwise.run();
        }
        return humidity;
    }
}
