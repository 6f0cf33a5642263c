package dev.zelotype.examples.generated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.CameraFault;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.generate.DoubleFor;
import dev.zelotype.generate.Style;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Doubles as plain source, which the compiler writes while it compiles this test. No library runs here. */
@DoubleFor(
        value = {WeatherStation.class, Dome.class, Mount.class, Camera.class, TargetCatalog.class, NightLog.class},
        style = {Style.STUB, Style.STRICT, Style.SPY})
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

    @Test
    void a_stub_answers_in_turn_by_a_function_or_by_failing() {
        WeatherStationStub weather = new WeatherStationStub()
                .humidityAnswersInTurn(List.of(40, 95))
                .humidityAtAnswersBy(place -> place.equals("north") ? 40 : 70);
        CameraStub camera = new CameraStub()
                .exposeDoes((time, onFrame, onFailure) -> onFailure.accept(new CameraFault("shutter stuck")))
                .readIntoFails(new IllegalStateException("no picture"));

        assertThat(List.of(weather.humidity(), weather.humidity(), weather.humidity()))
                .containsExactly(40, 95, 95);
        assertThat(weather.humidityAt("north")).isEqualTo(40);
        List<CameraFault> faults = new ArrayList<>();
        camera.expose(Duration.ofSeconds(90), frame -> {}, faults::add);
        assertThat(faults).singleElement().extracting(Throwable::getMessage).isEqualTo("shutter stuck");
        assertThatThrownBy(() -> camera.readInto(new byte[1])).hasMessage("no picture");
    }

    @Test
    void a_spy_knows_the_order_of_all_calls() {
        DomeSpy spied = new DomeSpy();

        spied.open();
        spied.close();

        assertThat(spied.calls()).containsExactly(new DomeSpy.OpenCall(), new DomeSpy.CloseCall());
    }

    @Test
    void a_strict_stub_names_the_line_that_is_missing() {
        WeatherStationStrictStub weather = new WeatherStationStrictStub().humidityAnswers(40);

        assertThat(weather.humidity()).isEqualTo(40);
        assertThatThrownBy(() -> weather.humidityAt("north"))
                .hasMessage("Nothing is set for WeatherStation.humidityAt(north). Write: .humidityAtAnswers(...);");
    }
}
