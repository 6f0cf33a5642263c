package dev.observatory

import dev.zelotype.Scene
import dev.zelotype.Zelotype.stub
import dev.zelotype.Zelotype.suppose
import dev.zelotype.Zelotype.verify
import dev.zelotype.call.Act0
import dev.zelotype.call.Act1
import dev.zelotype.call.Query0
import dev.zelotype.call.Query1
import dev.zelotype.call.Query2
import org.junit.jupiter.api.AfterEach
import org.junit.jupiter.api.Assertions.assertEquals
import org.junit.jupiter.api.Test

/** All forms in which Kotlin code makes a call. */
class FormsTest {

    private val scene = Scene.open()
    private val weather: WeatherStation = stub(WeatherStation::class.java)
    private val dome: Dome = stub(Dome::class.java)

    @AfterEach
    fun close() = scene.close()

    private fun make() = Gauge(90)

    @Test
    fun `a reference to a function`() {
        suppose(Query2(dome::turn)).returns(true)
        assertEquals(true, dome.turn("a", 1))
    }

    @Test
    fun `a reference to a function without a value`() {
        suppose(Act0(dome::open)).doesNothing()
        dome.open()
        verify(Act0(dome::open)).once()
    }

    @Test
    fun `a reference to a property`() {
        suppose(Query0(weather::humidity)).returns(7)
        assertEquals(7, weather.humidity)
    }

    @Test
    fun `a property in a lambda`() {
        suppose(Query0 { weather.humidity }).returns(7)
        assertEquals(7, weather.humidity)
    }

    @Test
    fun `setting a property`() {
        suppose(Act1 { s: String -> weather.site = s }).doesNothing()
        weather.site = "x"
        verify(Act1 { s: String -> weather.site = s }).once()
    }

    @Test
    fun `a reference to a constructor`() {
        suppose(Query1(::Gauge)).returns(stub<Gauge>(Gauge::class.java))
        assertEquals(0, make().level())
    }

    @Test
    fun `a constructor in a lambda`() {
        suppose(Query1 { n: Int -> Gauge(n) }).returns(stub<Gauge>(Gauge::class.java))
        assertEquals(0, make().level())
    }

    @Test
    fun `a function of any instance`() {
        suppose(Query1(Gauge::level)).returns(5)
        assertEquals(5, make().level())
    }

    @Test
    fun `one of several functions of a name by its types`() {
        suppose(Query1<String, Int>(weather::humidityAt)).returns(3)
        assertEquals(3, weather.humidityAt("n"))
    }

    @Test
    fun `the other by its types`() {
        suppose(Query2<String, Int, Int>(weather::humidityAt)).returns(3)
        assertEquals(3, weather.humidityAt("n", 1))
    }

    @Test
    fun `a value that must be equal`() {
        suppose(Query0 { weather.humidityAt("north") }).returns(3)
        assertEquals(3, weather.humidityAt("north"))
        assertEquals(0, weather.humidityAt("south"))
    }

    @Test
    fun `a computed answer`() {
        suppose(Query1 { d: String -> weather.humidityAt(d) }).answers { d -> d.length }
        assertEquals(5, weather.humidityAt("north"))
    }
}
