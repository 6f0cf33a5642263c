package dev.observatory

import java.time.Instant
import java.util.function.ToIntFunction

/** Makes the calls that tests replace, in all of Kotlin's forms. */
object Readings {

    fun plain(): Instant = Instant.now()

    fun lambda(): Instant = listOf("x").map { Instant.now() }.first()

    fun reference(text: String): Int = listOf(text).map(Integer::parseInt).first()

    fun converted(text: String): Int = ToIntFunction<String>(Integer::parseInt).applyAsInt(text)

    fun later(): Instant = sequence { yield(Instant.now()) }.first()

    fun made(): Int = java.util.Random().nextInt()

    inline fun <T> inlined(body: () -> T): T = body()

    fun byInline(): Instant = inlined { Instant.now() }
}
