package dev.observatory;

/** Opens the dome when the air is dry, and closes it when it is not. */
public class DomeGuard {

    private static final int TOO_HUMID = 85;

    private final WeatherStation weather;
    private final Dome dome;

    public DomeGuard(WeatherStation weather, Dome dome) {
        this.weather = weather;
        this.dome = dome;
    }

    /** Looks at the weather once. */
    public void look() {
        if (weather.humidity() > TOO_HUMID) {
            dome.close();
        } else {
            dome.open();
        }
    }
}
