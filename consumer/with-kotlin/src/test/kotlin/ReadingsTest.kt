package dev.observatory

import dev.zelotype.Zelotype.stub
import dev.zelotype.Zelotype.suppose
import dev.zelotype.call.Query0
import dev.zelotype.call.Query1
import dev.zelotype.junit.WithDoubles
import java.time.Instant
import java.util.Random
import org.junit.jupiter.api.Assertions.assertEquals
import org.junit.jupiter.api.Assertions.assertNotEquals
import org.junit.jupiter.api.Test

/** Calls of Java's static methods and constructors from Kotlin code are replaced in each of its forms. */
@WithDoubles
class ReadingsTest {

    @Test
    fun `calls in Kotlin code are replaced`() {
        val fixed = Instant.ofEpochSecond(5)
        val random = stub(Random::class.java)
        suppose(Query0 { random.nextInt() }).returns(4)
        suppose(Query0 { Instant.now() }).returns(fixed)
        suppose(Query1 { text: String -> Integer.parseInt(text) }).returns(7)
        suppose(Query0 { Random() }).returns(random)

        assertEquals(
            listOf<Any>(fixed, fixed, fixed, fixed, 7, 7, 4),
            listOf<Any>(
                Readings.plain(),
                Readings.lambda(),
                Readings.later(),
                Readings.byInline(),
                Readings.reference("1"),
                Readings.converted("1"),
                Readings.made(),
            ),
        )
    }

    @Test
    fun `they are real again`() {
        assertEquals(1, Readings.reference("1"))
        assertNotEquals(Instant.ofEpochSecond(5), Readings.plain())
    }
}
