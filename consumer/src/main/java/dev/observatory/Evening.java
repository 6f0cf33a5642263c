package dev.observatory;

/** Opens the dome on dry evenings. */
public final class Evening {

    private final WeatherStation weather;
    private final Dome dome;

    public Evening(WeatherStation weather, Dome dome) {
        this.weather = weather;
        this.dome = dome;
    }

    /** Gives the time of opening, or 0. */
    public long begin() {
        if (weather.humidity() > 80) {
            return 0;
        }
        dome.open();
        return Clock.now();
    }
}
