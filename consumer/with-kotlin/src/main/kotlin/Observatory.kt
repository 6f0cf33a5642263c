package dev.observatory

/** Measures the weather. */
interface WeatherStation {
    val humidity: Int
    var site: String

    fun humidityAt(dome: String): Int

    fun humidityAt(dome: String, hour: Int): Int

    suspend fun forecast(days: Int): String
}

/** A dome that opens and closes. */
interface Dome {
    fun open()

    fun close()

    fun turn(to: String, degrees: Int): Boolean
}

/** Final, like any class without a modifier. */
class Gauge(private val number: Int) {
    fun level(): Int = number
}

/** Opens the dome on dry evenings. */
class Evening(private val weather: WeatherStation, private val dome: Dome) {
    fun begin(): Boolean {
        if (weather.humidity > 80 || weather.humidityAt("north") > 80) {
            return false
        }
        dome.open()
        return dome.turn("east", Gauge(90).level())
    }
}
