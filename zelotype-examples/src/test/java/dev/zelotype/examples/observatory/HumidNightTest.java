package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.*;
import static dev.zelotype.doubles.Kind.*;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.*;
import java.util.List;
import org.junit.jupiter.api.Test;

@WithDoubles
class HumidNightTest {
    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @StandIn(SPY)
    NightLog log;

    @UnderTest
    NightRun run;

    @Test
    void a_humid_night_keeps_the_dome_closed() {
        suppose(weather::humidity).returns(95);
        expect(dome::open).never();

        run.observe(List.of("Harrow-2"));

        assertThat(recorded(log::append)).containsExactly(LogEntry.of("too humid: 95 %"));
    }
}
