package dev.zelotype.challenged;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A subject whose calls are all relevant to some test. */
final class Watch {

    interface Weather {
        int humidity();

        Optional<String> warning(String place);
    }

    interface Dome {
        void open(int degrees);

        boolean isOpen();

        void close();
    }

    interface Camera {
        void expose(Duration time, Consumer<String> done, Consumer<String> failed);
    }

    interface NightLog {
        int note(String text);
    }

    static final int TOO_HUMID = 80;
    static final int WIDE = 40;

    private final Weather weather;
    private final Dome dome;
    private final Camera camera;
    private final NightLog log;
    private int pictures;

    Watch(Weather weather, Dome dome, Camera camera, NightLog log) {
        this.weather = weather;
        this.dome = dome;
        this.camera = camera;
        this.log = log;
    }

    int night(List<String> targets) {
        if (weather.humidity() > TOO_HUMID) {
            return -1;
        }
        weather.warning("north").ifPresent(log::note);
        dome.open(WIDE);
        for (String target : targets) {
            camera.expose(Duration.ofSeconds(90), frame -> pictures++, fault -> log.note("failed: " + fault));
            log.note("seen " + target);
        }
        if (dome.isOpen()) {
            dome.close();
        }
        return pictures;
    }
}
