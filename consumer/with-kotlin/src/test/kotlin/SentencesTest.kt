package dev.observatory

import dev.zelotype.junit.StandIn
import dev.zelotype.junit.WithDoubles
import dev.zelotype.kotlin.recorded
import dev.zelotype.kotlin.returns
import dev.zelotype.kotlin.stub
import dev.zelotype.kotlin.suppose
import dev.zelotype.kotlin.suspends
import dev.zelotype.kotlin.verify
import kotlinx.coroutines.delay
import kotlinx.coroutines.test.runTest
import org.junit.jupiter.api.Assertions.assertEquals
import org.junit.jupiter.api.Test

/** Statements without shapes, and suspending ones. */
@WithDoubles
class SentencesTest {
    @JvmInline
    value class Plate(val number: Int)

    interface Archive {
        suspend fun find(name: String, limit: Int = 3): List<String>
        suspend fun store(plate: Plate): Boolean
    }

    @StandIn
    lateinit var weather: WeatherStation

    @StandIn
    lateinit var archive: Archive

    @Test
    fun `properties and functions`() {
        suppose { weather.humidity } returns 7
        assertEquals(7, weather.humidity)
        weather.site = "north"
        assertEquals(listOf("north"), recorded { site: String -> weather.site = site }.toList())
        val dome = stub<Dome>()
        dome.open()
        verify { dome.open() }.once()
    }

    @Test
    fun `suspending functions`() = runTest {
        suppose { archive.find("a") } returns listOf("one")
        suppose { plate: Plate -> archive.store(plate) }.suspends { plate ->
            delay(1_000)
            plate.number > 3
        }
        assertEquals(listOf("one"), archive.find("a", 3))
        assertEquals(emptyList<String>(), archive.find("b"))
        assertEquals(true, archive.store(Plate(4)))
        verify { name: String, limit: Int -> archive.find(name, limit) }.times(2)
    }
}
