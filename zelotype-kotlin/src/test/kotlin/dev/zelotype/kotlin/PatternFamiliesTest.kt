package dev.zelotype.kotlin

import java.nio.file.Files
import java.nio.file.Path
import org.assertj.core.api.Assertions.assertThat
import org.junit.jupiter.api.Test

/** Patterns.kt holds the same for each number of free parameters; this is how it is written. */
class PatternFamiliesTest {
    @Test
    fun `what the guide shows is in the tests`() {
        val page = Files.readString(Path.of("../docs/guide/kotlin.md"))
        val tested = Files.readString(Path.of("src/test/kotlin/dev/zelotype/kotlin/FormsTest.kt")).lines().map { it.trim() }
        val shown = Regex("(?s)```kotlin\n(.*?)```").findAll(page).flatMap { it.groupValues[1].lines() }
            .map { it.substringBefore("   //").trim() }.filter { it.isNotEmpty() }.toList()
        assertThat(shown).hasSizeGreaterThan(15)
        assertThat(tested).containsAll(shown)
    }

    private val letters = "ABCDEFGH"

    @Test
    fun `each family is written alike`() {
        val file = Path.of("src/main/kotlin/dev/zelotype/kotlin/Patterns.kt")
        val written = head() + (0..letters.length).joinToString("\n") { family(it) }
        if (System.getProperty("zelotype.write") != null) {
            Files.writeString(file, written)
        }
        assertThat(file).hasContent(written)
    }

    private fun head(): String {
        val numbers = 0..letters.length
        val imports = numbers.map { "dev.zelotype.call.Act$it" } + numbers.map { "dev.zelotype.call.Query$it" } +
            numbers.map { "dev.zelotype.stage.Check$it" } + numbers.map { "dev.zelotype.stage.ExpectedQuery$it" } +
            numbers.drop(1).map { "dev.zelotype.stage." + recorded(it) } +
            numbers.map { "dev.zelotype.stage.SupposedQuery$it" }
        return """
            |// One family for each number of free parameters. PatternFamiliesTest writes this file, and holds it to what it writes.
            |@file:Suppress("INVISIBLE_MEMBER", "INVISIBLE_REFERENCE")
            |
            |package dev.zelotype.kotlin
            |
            |import dev.zelotype.Zelotype
            |${imports.joinToString("\n") { "import $it" }}
            |import java.io.Serializable
            |import kotlin.coroutines.Continuation
            |
            |
        """.trimMargin()
    }

    private fun recorded(count: Int) = if (count == 1) "Recorded" else "Recorded$count"

    private fun family(n: Int): String {
        val types = letters.take(n).toList()
        val free = types.joinToString(", ")
        val all = (types + 'R').joinToString(", ")
        val only = if (n == 0) "" else "<$free>"
        val parameters = types.joinToString(", ") { "${it.lowercaseChar()}: $it" }
        // Overloads that take more parameters must not make those that take fewer ambiguous.
        val low = if (n == 0) "" else "@kotlin.internal.LowPriorityInOverloadResolution\n|"
        val count = when (n) {
            0 -> "no free parameter"
            1 -> "one free parameter"
            else -> "$n free parameters"
        }
        val spread = (0 until n).map { "all[$it] as ${letters[it]}" } + "all[$n] as Continuation<R>"
        val suspending = (types.map { "$it" } + "Continuation<R>").joinToString(", ")
        val nothing = if (n == 0) "Act0 {}" else "Act$n { " + types.joinToString(", ") { "_: $it" } + " -> }"
        return """
            |/** A call with $count, written as a lambda that is read and never run. */
            |public fun interface Pattern$n<$all> : Serializable {
            |    public suspend fun ask($parameters): R
            |}
            |
            |private class Carried$n<$all>(private val of: Any) : Query$n<$all> {
            |    override fun ask($parameters): R = throw PatternForm.neverRun()
            |
            |    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query$n", $n)
            |}
            |
            |/** Says what a call answers: `${example("suppose", n)} returns 40`. */
            |${low}public fun <$all> suppose(pattern: Pattern$n<$all>): SupposedQuery$n<$all> =
            |    Zelotype.suppose(Carried$n<$all>(pattern))
            |
            |/** Says beforehand that a call must happen: `${example("expect", n)}.once()`. */
            |${low}public fun <$all> expect(pattern: Pattern$n<$all>): ExpectedQuery$n<$all> =
            |    Zelotype.expect(Carried$n<$all>(pattern))
            |
            |/** Asks afterwards whether a call happened: `${example("verify", n)}.once()`. */
            |${low}public fun <$all> verify(pattern: Pattern$n<$all>): Check$n$only =
            |    Zelotype.verify(Carried$n<$all>(pattern))
            |${if (n == 0) "" else recording(n, all, free, low)}
            |/** Gives a value: `suppose { weather.humidity } returns 40`. */
            |public infix fun <$all> SupposedQuery$n<$all>.returns(value: R) {
            |    this.returns(value)
            |}
            |
            |/** Answers as a lambda does that may suspend, where the call suspends as well. */
            |public fun <$all> SupposedQuery$n<$all>.suspends(answer: suspend ($free) -> R) {
            |    this.answers(object : Query$n<$all> {
            |        override fun ask($parameters): R = throw PatternForm.notSuspending()
            |
            |        @Suppress("UNCHECKED_CAST")
            |        override fun spread(all: Array<Any?>): Any? {
            |            if (all.size == $n) throw PatternForm.notSuspending()
            |            return (answer as ($suspending) -> Any?)(${spread.joinToString(", ")})
            |        }
            |    })
            |}
            |
            |/** Says that a call which gives nothing does nothing. */
            |@JvmName("doesNothing$n")
            |public fun ${if (n == 0) "" else "$only "}SupposedQuery$n<${(types + "Unit").joinToString(", ")}>.doesNothing() {
            |    this.does($nothing)
            |}
            |
        """.trimMargin()
    }

    private fun recording(n: Int, all: String, free: String, low: String) = """
        |
        |/** Gives the arguments of calls: `${example("recorded", n)}`. */
        |${low}public fun <$all> recorded(pattern: Pattern$n<$all>): ${recorded(n)}<$free> =
        |    Zelotype.recorded(Carried$n<$all>(pattern))
        |
    """.trimMargin()

    private fun example(verb: String, n: Int): String {
        val names = listOf("at", "rate", "times", "title", "first", "last", "from", "upTo").take(n)
        val types = listOf("String", "Int", "Int", "String", "Int", "Int", "Int", "Int")
        return when {
            n > 0 -> verb + " { " + names.withIndex().joinToString(", ") { (i, name) -> "$name: ${types[i]}" } +
                " -> mount.track(" + names.joinToString(", ") + ") }"
            verb == "suppose" -> "suppose { weather.humidity }"
            else -> "$verb { dome.open() }"
        }
    }
}
