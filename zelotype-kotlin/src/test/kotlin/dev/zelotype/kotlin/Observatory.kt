package dev.zelotype.kotlin

import kotlinx.coroutines.delay

/** The observatory's collaborators in Kotlin. */
interface Weather {
    val humidity: Int
    var note: String
    fun humidityAt(dome: String): Int
    fun warning(dome: String, level: Int = 3, loud: Boolean = false): String
    fun forecast(): List<String>
}

interface Dome {
    fun open(degrees: Int)
    fun close()
    fun isSafe(wind: Double): Boolean
}

@JvmInline
value class Target(val name: String)

@JvmInline
value class Degrees(val value: Int)

sealed interface Sky {
    data object Clear : Sky
    data class Clouded(val share: Int) : Sky
}

interface Catalog {
    suspend fun find(name: String): String?
    suspend fun size(): Int
    suspend fun all(): List<String>
    suspend fun save(name: String, degrees: Int)
    suspend fun rate(target: Target): Degrees
    suspend fun nearest(degrees: Degrees): Target
    suspend fun limited(name: String, limit: Int = 10): List<String>
    fun position(target: Target): Degrees
    fun of(degrees: Degrees): Target
    fun sky(): Sky
}

class Gauge {
    var level = 1
    fun read(): Int = level
    suspend fun slowRead(): Int = level

    /** Resumes after a suspension, which is not a second call. */
    suspend fun waitFor(wanted: Int): Int {
        while (level < wanted) {
            delay(10)
            level++
        }
        return level
    }
}

object Clockwork {
    fun ticks(): Int = 1
    val rate: Int get() = 10
}

interface Source<T> {
    fun take(it: T): T
    suspend fun await(it: T): T
}

interface Names : Source<String> {
    override fun take(it: String): String
    override suspend fun await(it: String): String
}

interface Angles : Source<Int> {
    override fun take(it: Int): Int
    override suspend fun await(it: Int): Int
}

@JvmInline
value class Channel(val number: Int)

interface Channels : Source<Channel> {
    override fun take(it: Channel): Channel
    override suspend fun await(it: Channel): Channel
    fun take(it: Reading): Channel
}

@JvmInline
value class Label(val text: String)

interface Labels : Source<Label> {
    override fun take(it: Label): Label
    override suspend fun await(it: Label): Label
    suspend fun first(): Label
}

@JvmInline
value class Reading(val raw: Any)

interface Link {
    fun read(channel: Int): Result<Int>
    fun read(channel: Channel): Result<Int>
    fun perhaps(): Result<Int>?
    fun anything(): Any
    fun anything(channel: Channel): Any
    fun last(): Reading
    suspend fun wait(): Result<Int>
    fun find(name: String): Label?
    fun keep(label: Label?): Int
    suspend fun next(label: Label?): Label?
}

fun readNow(channel: Int): Result<Int> = Result.success(channel)

fun labelled(name: String): Label? = Label(name)

/** The subject knows only the general type. */
class Buffer<T>(private val source: Source<T>) {
    fun next(it: T): T = source.take(it)
    suspend fun later(it: T): T = source.await(it)
}

class Station(val name: String) {
    fun call(to: String): String = "$name calls $to"

    companion object {
        fun nearest(place: String): String = "real $place"
    }
}

open class Mount {
    open suspend fun slew(target: String): Int = target.length
    open fun park(): Boolean = false
}

fun Weather.isHumid(): Boolean = humidity > 80

class NightRun(private val weather: Weather, private val dome: Dome, private val catalog: Catalog) {
    suspend fun observe(name: String): String? {
        if (weather.humidity > 80) {
            return null
        }
        dome.open(40)
        val found = catalog.find(name) ?: return null
        catalog.save(found, 40)
        return found
    }
}
