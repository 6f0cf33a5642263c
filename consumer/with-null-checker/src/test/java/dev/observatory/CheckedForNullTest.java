package dev.observatory;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;

/** Fields that are filled before each test, and doubles as source: a null checker has nothing to say. */
@WithDoubles
class CheckedForNullTest {

    @StandIn
    private WeatherStation weather;

    @StandIn
    private Dome dome;

    @UnderTest
    private Evening evening;

    @Test
    void a_humid_evening() {
        suppose(weather::humidity).returns(95);
        assertEquals(0, evening.begin());
        verify(dome::open).never();
        assertEquals(0, new Evening(new WeatherStationStub().humidityAnswers(95), new DomeSpy()).begin());
    }
}
