package dev.zelotype.kotlin

import dev.zelotype.error.CheckFailure
import dev.zelotype.error.MisuseException
import dev.zelotype.junit.StandIn
import dev.zelotype.junit.UnderTest
import dev.zelotype.junit.WithDoubles
import java.io.IOException
import kotlinx.coroutines.ExperimentalCoroutinesApi
import kotlinx.coroutines.delay
import kotlinx.coroutines.test.currentTime
import kotlinx.coroutines.test.runTest
import org.assertj.core.api.Assertions.assertThat
import org.assertj.core.api.Assertions.assertThatThrownBy
import org.junit.jupiter.api.Test

/** Statements in Kotlin syntax: without shapes, and suspending if the call suspends. */
@WithDoubles
class FormsTest {
    @StandIn
    lateinit var weather: Weather

    @StandIn
    lateinit var dome: Dome

    @StandIn
    lateinit var catalog: Catalog

    @UnderTest
    lateinit var run: NightRun

    @Test
    fun `a subject with fields is driven from a test scope`() = runTest {
        suppose { weather.humidity } returns 40
        suppose { catalog.find("Harrow-2") } returns "Harrow-2"
        assertThat(run.observe("Harrow-2")).isEqualTo("Harrow-2")
        verify { dome.open(40) }.once()
        verify { catalog.save("Harrow-2", 40) }.once()
        verify { name: String, degrees: Int -> catalog.save(name, degrees) }.once()
        assertThat(recorded { name: String, degrees: Int -> catalog.save(name, degrees) }).hasSize(1)
        assertThat(recorded { degrees: Int -> dome.open(degrees) }).containsExactly(40)
        verifyNothingElse(dome, catalog)
    }

    @Test
    fun `plain calls and properties`() {
        suppose { weather.humidity }.returns(40, 50)
        suppose { place: String -> weather.humidityAt(place) }.answers { place -> place.length }
        suppose { weather.humidityAt("north") } returns 95
        suppose { wind: Double -> dome.isSafe(wind) }.answers { wind -> wind < 10.0 }
        suppose { weather.forecast() } returns listOf("rain")
        assertThat(listOf(weather.humidity, weather.humidity)).containsExactly(40, 50)
        assertThat(weather.humidityAt("south-east")).isEqualTo(10)
        assertThat(weather.humidityAt("north")).isEqualTo(95)
        assertThat(dome.isSafe(9.5)).isTrue()
        assertThat(dome.isSafe(10.5)).isFalse()
        assertThat(weather.forecast()).containsExactly("rain")
        weather.note = "fog"
        verify { weather.note = "fog" }.once()
        verify { text: String -> weather.note = text }.once()
    }

    @Test
    fun `references to properties and functions`() {
        suppose(weather::humidity) returns 40
        suppose(weather::humidityAt).answers { place -> place.length }
        assertThat(weather.humidity + weather.humidityAt("abc")).isEqualTo(43)
        verify(weather::humidity).once()
        dome.open(3)
        verify(dome::open).once()
        assertThat(recorded(dome::open)).containsExactly(3)
    }

    @Test
    fun `commands do nothing, or fail with any exception`() {
        suppose { dome.open(1) }.doesNothing()
        suppose { dome.close() }.fails(IOException("stuck"))
        dome.open(1)
        assertThatThrownBy { dome.close() }.isInstanceOf(IOException::class.java).hasMessage("stuck")
        val strict = mock<Dome>("strict")
        expect { strict.open(2) }.once()
        expect { degrees: Int -> strict.open(degrees) }.where { it > 2 }.once()
        strict.open(2)
        strict.open(3)
    }

    @Test
    @OptIn(ExperimentalCoroutinesApi::class)
    fun `suspending calls answer`() = runTest {
        suppose { name: String -> catalog.find(name) }.suspends { name ->
            delay(60_000)
            "$name!"
        }
        suppose { catalog.size() } returns 7
        assertThat(catalog.find("Quill-9")).isEqualTo("Quill-9!")
        assertThat(currentTime).isEqualTo(60_000)
        assertThat(catalog.size()).isEqualTo(7)
        suppose { catalog.all() }.fails(IOException("offline"))
        assertThat(runCatching { catalog.all() }.exceptionOrNull()).isInstanceOf(IOException::class.java)
        verify { name: String -> catalog.find(name) }.where { it.startsWith("Q") }.once()
        assertThat(recorded { name: String -> catalog.find(name) }).containsExactly("Quill-9")
    }

    @Test
    fun `what nothing was said of is empty, and not null`() = runTest {
        assertThat(catalog.size()).isZero()
        assertThat(catalog.all()).isEmpty()
        catalog.save("a", 1)
        assertThat(catalog.rate(Target("a"))).isEqualTo(Degrees(0))
        assertThat(catalog.nearest(Degrees(1))).isEqualTo(Target(""))
        assertThat(catalog.position(Target("a"))).isEqualTo(Degrees(0))
        assertThat(catalog.of(Degrees(1))).isEqualTo(Target(""))
    }

    @Test
    fun `value classes`() = runTest {
        suppose { catalog.position(Target("Harrow-2")) } returns Degrees(47)
        suppose { degrees: Degrees -> catalog.of(degrees) }.answers { degrees -> Target("at ${degrees.value}") }
        suppose { target: Target -> catalog.rate(target) }.suspends { target -> Degrees(target.name.length) }
        suppose { catalog.nearest(Degrees(3)) } returns Target("Quill-9")
        assertThat(catalog.position(Target("Harrow-2"))).isEqualTo(Degrees(47))
        assertThat(catalog.position(Target("other"))).isEqualTo(Degrees(0))
        assertThat(catalog.of(Degrees(5))).isEqualTo(Target("at 5"))
        assertThat(catalog.rate(Target("abc"))).isEqualTo(Degrees(3))
        assertThat(catalog.nearest(Degrees(3))).isEqualTo(Target("Quill-9"))
        verify { target: Target -> catalog.position(target) }.times(2)
        assertThat(recorded { degrees: Degrees -> catalog.of(degrees) }).containsExactly(Degrees(5))
    }

    @Test
    fun `default arguments`() = runTest {
        suppose { weather.warning("north") } returns "fog"
        suppose { dome: String -> weather.warning(dome, loud = true) }.answers { dome -> "loud $dome" }
        suppose { catalog.limited("a") } returns listOf("ten")
        assertThat(weather.warning("north")).isEqualTo("fog")
        assertThat(weather.warning("north", 3, false)).isEqualTo("fog")
        assertThat(weather.warning("north", 4)).isEmpty()
        assertThat(weather.warning("south", 3, true)).isEqualTo("loud south")
        assertThat(catalog.limited("a", 10)).containsExactly("ten")
        verify { weather.warning("north") }.times(2)
    }

    @Test
    fun `data and sealed classes`() {
        suppose { catalog.sky() }.returns(Sky.Clear, Sky.Clouded(30))
        assertThat(listOf(catalog.sky(), catalog.sky())).containsExactly(Sky.Clear, Sky.Clouded(30))
    }

    @Test
    fun `objects, companions and instances of classes`() {
        suppose { Clockwork.ticks() } returns 5
        suppose { Clockwork.rate } returns 11
        suppose { place: String -> Station.nearest(place) }.answers { place -> "double $place" }
        suppose { name: String -> Station(name) }.answers { name -> stub<Station>(name) }
        suppose { station: Station, to: String -> station.call(to) }.answers { _, to -> "no $to" }
        assertThat(Clockwork.ticks()).isEqualTo(5)
        assertThat(Clockwork.rate).isEqualTo(11)
        assertThat(Station.nearest("north")).isEqualTo("double north")
        assertThat(describe(Station("hill"))).contains("hill", "stub")
        assertThat(named(Station("sea"), "sea").call("sky")).isEqualTo("no sky")
        verify { Clockwork.ticks() }.once()
    }

    @Test
    fun `final classes and spies`() = runTest {
        val gauge = stub<Gauge>()
        suppose { gauge.read() } returns 8
        suppose { gauge.slowRead() } returns 9
        assertThat(gauge.read() + gauge.slowRead()).isEqualTo(17)
        val real = Gauge()
        val spy = spy(real)
        suppose { spy.slowRead() }.returns(3)
        assertThat(spy.read() + spy.slowRead()).isEqualTo(4)
        assertThat(spy.waitFor(5)).isEqualTo(5)
        verify { spy.waitFor(5) }.once()
        val mount = spy(Mount())
        assertThat(mount.slew("abc")).isEqualTo(3)
        verify { mount.slew("abc") }.once()
        val recorder = spy<Mount>("recorder")
        assertThat(recorder.slew("abc")).isZero()
    }

    @Test
    fun `extension functions run for real`() {
        suppose { weather.humidity } returns 95
        assertThat(weather.isHumid()).isTrue()
    }

    @Test
    fun `a pattern of a non-null type meets no null`() {
        suppose { text: String -> weather.humidityAt(text) }.answers { text -> text.length }
        assertThat(weather.humidityAt("abc")).isEqualTo(3)
        verify { text: String -> weather.humidityAt(text) }.where { it.isNotEmpty() }.once()
        val stranger: Weather = stub()
        assertThat(stranger.note).isEmpty()
    }

    @Test
    fun `a subject may know only the general type`() = runTest {
        val names: Names = stub()
        suppose { names.take("x") } returns "y"
        suppose { names.await("x") } returns "z"
        assertThat(listOf(names.take("x"), Buffer(names).next("x"), Buffer(names).later("x"))).containsExactly("y", "y", "z")
        verify { names.take("x") }.times(2)
        verify { names.await("x") }.once()
        val angles: Angles = spy()
        suppose { angle: Int -> angles.take(angle) }.answers { angle -> angle * 2 }
        suppose { angles.await(3) } returns 4
        assertThat(listOf(angles.take(40), Buffer(angles).next(40), Buffer(angles).later(3))).containsExactly(80, 80, 4)
        verify { angles.take(40) }.times(2)
        val channels: Channels = stub()
        suppose { channels.take(Channel(1)) } returns Channel(2)
        suppose { channels.await(Channel(1)) } returns Channel(3)
        assertThat(listOf(Buffer(channels).next(Channel(1)), Buffer(channels).later(Channel(1))))
            .containsExactly(Channel(2), Channel(3))
        verify { channels.take(Channel(1)) }.once()
        val labels: Labels = stub()
        suppose { labels.take(Label("a")) } returns Label("b")
        suppose { labels.await(Label("a")) } returns Label("c")
        suppose { labels.first() } returns Label("d")
        assertThat(listOf(labels.await(Label("a")).text, labels.await(Label("z")).text, labels.first().text))
            .containsExactly("c", "", "d")
        assertThat(listOf(Buffer(labels).next(Label("a")), Buffer(labels).later(Label("a")), Buffer(labels).later(Label("z"))))
            .containsExactly(Label("b"), Label("c"), Label(""))
        val general: Source<Channel> = channels
        assertThatThrownBy { verify { general.take(Channel(1)) }.once() }
            .isInstanceOf(MisuseException::class.java)
            .hasMessageContaining("name it on a variable of type Channels")
    }

    /** In class files, these methods return just objects: the value, or a boxed one. */
    @Test
    fun `results and other value classes are answered as they are`() = runTest {
        val link: Link = stub()
        val good = Result.success(40)
        val bad = Result.failure<Int>(IOException("no link"))
        suppose { channel: Int -> link.read(channel) }.answers { channel -> Result.success(channel + 1) }
        suppose { link.read(1) }.returns(bad, good)
        suppose { link.read(Channel(1)) } returns bad
        suppose { link.perhaps() } returns good
        suppose { link.anything() } returns good
        suppose { link.anything(Channel(2)) } returns Reading("fog")
        suppose { link.last() } returns Reading("rain")
        suppose { link.wait() } returns bad
        assertThat(listOf(link.read(8), link.read(Channel(1)), link.perhaps(), link.anything(), link.wait()))
            .isEqualTo(listOf(Result.success(9), bad, good, good, bad))
        assertThat(listOf(link.read(1).isFailure, link.read(1).isSuccess)).containsExactly(true, true)
        assertThat(link.anything(Channel(2))).isEqualTo(Reading("fog"))
        assertThat(link.last()).isEqualTo(Reading("rain"))
    }

    @Test
    fun `value classes may be null`() = runTest {
        val link: Link = stub()
        suppose { link.find("a") } returns Label("b")
        suppose { link.find("c") } returns null
        suppose { label: Label? -> link.keep(label) }.answers { label -> label?.text?.length ?: -1 }
        suppose { link.next(null) } returns Label("d")
        suppose { label: Label -> link.next(label) } returns null
        suppose { labelled("e") } returns null
        suppose { readNow(1) } returns Result.failure(IOException("no link"))
        assertThat(listOf(link.find("a"), link.find("c"), link.next(null), link.next(Label("f"))))
            .containsExactly(Label("b"), null, Label("d"), null)
        assertThat(listOf(link.keep(null), link.keep(Label("fog")))).containsExactly(-1, 3)
        assertThat(listOf(labelled("e"), labelled("g"))).containsExactly(null, Label("g"))
        assertThat(listOf(readNow(1).isFailure, readNow(2).isSuccess)).containsExactly(true, true)
        verify { label: Label? -> link.keep(label) }.times(2)
        verify { label: Label -> link.keep(label) }.once()
        verify { link.keep(null) }.once()
    }

    @Test
    fun `order and silence`() {
        dome.open(1)
        dome.close()
        inThisOrder {
            verify { dome.open(1) }.once()
            verify { dome.close() }.once()
        }
        verifyUntouched(weather)
        assertThatThrownBy { verify { dome.close() }.never() }.isInstanceOf(CheckFailure::class.java)
    }

    @Test
    fun `messages show what the source shows`() = runTest {
        assertThatThrownBy { verify { catalog.find("x") }.once() }
            .hasMessageContaining("catalog.find(\"x\")")
            .hasMessageNotContaining("Continuation")
        catalog.find("y")
        assertThatThrownBy { verify { name: String -> catalog.find(name) }.never() }
            .hasMessageContaining("catalog.find(\"y\")")
            .hasMessageNotContaining("Continuation")
    }

    @Test
    fun `what is no pattern is refused with a sentence`() = runTest {
        assertThatThrownBy { suppose { weather.humidity + 1 } returns 3 }
            .isInstanceOf(MisuseException::class.java)
            .hasMessageContaining("continues after the call of weather.getHumidity")
        assertThatThrownBy { suppose { delay(1); weather.humidity } returns 3 }
            .isInstanceOf(MisuseException::class.java)
        assertThatThrownBy { suppose { weather.humidity }.suspends { 3 }; weather.humidity }
            .isInstanceOf(MisuseException::class.java)
            .hasMessageContaining("does not suspend")
    }
}
