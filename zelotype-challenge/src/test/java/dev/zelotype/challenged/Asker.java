package dev.zelotype.challenged;

/** A subject that does something else as soon as the humidity is not what it was. */
final class Asker {

    int dry(Watch.Weather weather, Runnable otherwise) {
        int humidity = weather.humidity();
        if (humidity != 40) {
            otherwise.run();
        }
        return humidity;
    }
}
