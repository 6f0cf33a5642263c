package dev.zelotype.examples.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.CameraFault;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.examples.observatory.WeatherStation;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class ByHandTest {

    static class DryWeather implements WeatherStation {
        @Override
        public int humidity() {
            return 40;
        }

        @Override
        public int humidityAt(String dome) {
            return 40;
        }
    }

    static class CountingDome implements Dome {
        int opened;
        int closed;

        @Override
        public void open() {
            opened++;
        }

        @Override
        public void close() {
            closed++;
        }
    }

    static class RecordingMount implements Mount {
        final List<SkyTarget> slewed = new ArrayList<>();

        @Override
        public void slewTo(SkyTarget target) {
            slewed.add(target);
        }

        @Override
        public void track(SkyTarget target, int rate) {}

        @Override
        public int rate() {
            return 0;
        }

        @Override
        public void park() {}
    }

    static class InstantCamera implements Camera {
        @Override
        public void expose(Duration time, Consumer<Frame> onFrame, Consumer<CameraFault> onFailure) {
            onFrame.accept(new Frame(12));
        }

        @Override
        public int readInto(byte[] buffer) {
            return 0;
        }
    }

    static class SilentLog implements NightLog {
        @Override
        public LogEntry append(LogEntry entry) {
            return entry;
        }

        @Override
        public void note(String text) {}
    }

    @Test
    void a_picture_of_a_target() {
        SkyTarget harrow = new SkyTarget("Harrow-2", 47);
        CountingDome dome = new CountingDome();
        RecordingMount mount = new RecordingMount();
        TargetCatalog catalog = name -> Optional.of(harrow);
        NightRun run = new NightRun(new DryWeather(), dome, mount, new InstantCamera(), catalog, new SilentLog());

        assertThat(run.observe(List.of("Harrow-2"))).isEqualTo(1);

        assertThat(mount.slewed).containsExactly(harrow);
        assertThat(dome.opened).isEqualTo(1);
        assertThat(dome.closed).isEqualTo(1);
    }
}
