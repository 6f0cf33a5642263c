package dev.zelotype.examples.observatory;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * One night's observing: keeps the dome closed when it is humid, otherwise takes a picture of each target.
 */
public class NightRun {

    private static final int TOO_HUMID = 85;
    private static final Duration EXPOSURE = Duration.ofSeconds(90);

    private final WeatherStation weather;
    private final Dome dome;
    private final Mount mount;
    private final Camera camera;
    private final TargetCatalog catalog;
    private final NightLog log;

    public NightRun(
            WeatherStation weather, Dome dome, Mount mount, Camera camera, TargetCatalog catalog, NightLog log) {
        this.weather = weather;
        this.dome = dome;
        this.mount = mount;
        this.camera = camera;
        this.catalog = catalog;
        this.log = log;
    }

    /** Observes the targets; returns the number of pictures taken. */
    public int observe(List<String> names) {
        int humidity = weather.humidity();
        if (humidity > TOO_HUMID) {
            log.append(LogEntry.of("too humid: " + humidity + " %"));
            return 0;
        }
        dome.open();
        try {
            return observeAll(names);
        } finally {
            mount.park();
            dome.close();
        }
    }

    private int observeAll(List<String> names) {
        int pictures = 0;
        for (String name : names) {
            Optional<SkyTarget> target = catalog.find(name);
            if (target.isEmpty()) {
                log.append(LogEntry.of("unknown target: " + name));
            } else if (takePicture(target.get())) {
                pictures++;
            } else {
                break;
            }
        }
        return pictures;
    }

    private boolean takePicture(SkyTarget target) {
        boolean[] taken = {false};
        mount.slewTo(target);
        camera.expose(
                EXPOSURE,
                frame -> {
                    LogEntry entry = log.append(LogEntry.of(target + " on frame " + frame.number()));
                    log.note("see entry " + entry.number());
                    taken[0] = true;
                },
                fault -> log.append(LogEntry.of("camera failed: " + fault.getMessage())));
        return taken[0];
    }
}
