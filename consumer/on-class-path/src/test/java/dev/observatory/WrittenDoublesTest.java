package dev.observatory;

import static dev.zelotype.Zelotype.stub;
import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class WrittenDoublesTest {

    @Test
    void the_build_has_written_a_stub_and_a_linked_class() {
        assertEquals(0, new Evening(new WeatherStationStub().humidityAnswers(95), new DomeStub()).begin());
        assertEquals("dev.observatory.Dome$ZelotypeDouble", stub(Dome.class).getClass().getName());
    }
}
