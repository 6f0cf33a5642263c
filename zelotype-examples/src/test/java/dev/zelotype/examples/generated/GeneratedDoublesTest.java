package dev.zelotype.examples.generated;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.generate.DoubleFor;
import dev.zelotype.generate.Style;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Doubles as plain source, which the compiler writes while it compiles this test. No library runs here. */
@DoubleFor(
        value = {WeatherStation.class, Dome.class, Mount.class, Camera.class, TargetCatalog.class, NightLog.class},
        style = {Style.STUB, Style.SPY})
class GeneratedDoublesTest {

    private final DomeSpy dome = new DomeSpy();
    private final NightLogSpy log = new NightLogSpy(new NightLogStub().appendAnswers(new LogEntry(7, "kept")));
    private final NightRun run = new NightRun(
            new WeatherStationStub().humidityAnswers(95),
            dome,
            new MountStub(),
            new CameraStub(),
            new TargetCatalogStub(),
            log);

    @Test
    void a_humid_night_keeps_the_dome_closed() {
        assertThat(run.observe(List.of("Harrow-2"))).isZero();

        assertThat(dome.calls()).isEmpty();
        assertThat(log.appendCalls()).containsExactly(new NightLogSpy.AppendCall(LogEntry.of("too humid: 95 %")));
    }
}
