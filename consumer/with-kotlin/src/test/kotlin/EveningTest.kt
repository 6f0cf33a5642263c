package dev.observatory

import dev.zelotype.Zelotype.expect
import dev.zelotype.Zelotype.mock
import dev.zelotype.Zelotype.recorded
import dev.zelotype.Zelotype.stub
import dev.zelotype.Zelotype.suppose
import dev.zelotype.Zelotype.verify
import dev.zelotype.call.Act0
import dev.zelotype.call.Query0
import dev.zelotype.call.Query1
import dev.zelotype.call.Query2
import dev.zelotype.doubles.Kind.SPY
import dev.zelotype.error.MisuseException
import dev.zelotype.junit.StandIn
import dev.zelotype.junit.UnderTest
import dev.zelotype.junit.WithDoubles
import org.junit.jupiter.api.Assertions.assertEquals
import org.junit.jupiter.api.Assertions.assertFalse
import org.junit.jupiter.api.Assertions.assertThrows
import org.junit.jupiter.api.Assertions.assertTrue
import org.junit.jupiter.api.Test

@WithDoubles
class EveningTest {

    @StandIn
    lateinit var weather: WeatherStation

    @StandIn(SPY)
    lateinit var dome: Dome

    @UnderTest
    lateinit var evening: Evening

    @Test
    fun `a dry evening opens the dome`() {
        suppose(Query0 { weather.humidity }).returns(40)
        suppose(Query1 { dome: String -> weather.humidityAt(dome) }).returns(50)
        suppose(Query2 { to: String, degrees: Int -> dome.turn(to, degrees) }).returns(true)

        assertTrue(evening.begin())

        verify(Act0 { dome.open() }).once()
        assertEquals("east", recorded(Query2 { to: String, degrees: Int -> dome.turn(to, degrees) }).get(0).first())
    }
}
