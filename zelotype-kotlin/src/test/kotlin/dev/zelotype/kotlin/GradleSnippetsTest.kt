package dev.zelotype.kotlin

import java.nio.file.Files
import java.nio.file.Path
import kotlin.reflect.KProperty
import org.assertj.core.api.Assertions.assertThat
import org.junit.jupiter.api.Test

/**
 * The guide's snippets of Gradle build files compile, against replacements for the few functions of Gradle that they
 * use.
 */
class GradleSnippetsTest {
    private class Configuration {
        var isTransitive = true
        val asPath get() = if (isTransitive) "zelotype.jar:more.jar" else "zelotype.jar"
    }

    private class Created(private val made: Configuration) {
        operator fun getValue(none: Any?, property: KProperty<*>) = made
    }

    private class Configurations {
        fun creating(set: Configuration.() -> Unit) = Created(Configuration().apply(set))
    }

    private class TestTask(private val told: MutableList<String>) {
        fun useJUnitPlatform() {
            told += "the platform"
        }

        fun jvmArgs(argument: String) {
            told += argument
        }

        operator fun invoke(set: TestTask.() -> Unit) = set()
    }

    private class Tasks(told: MutableList<String>) {
        val test = TestTask(told)
    }

    private class Dependencies(private val told: MutableList<String>) {
        fun testImplementation(notation: String) {
            told += notation
        }

        fun testRuntimeOnly(notation: String) {
            told += notation
        }

        operator fun Configuration.invoke(notation: String) {
            told += notation
        }
    }

    private val told = mutableListOf<String>()
    private val tasks = Tasks(told)
    private val configurations = Configurations()

    private fun dependencies(add: Dependencies.() -> Unit) = Dependencies(told).add()

    @Test
    fun `the dependencies`() {
        dependencies {
            testImplementation("dev.zelotype:zelotype-junit:0.2.0-SNAPSHOT")
            testImplementation("org.junit.jupiter:junit-jupiter:5.14.4")
            testRuntimeOnly("org.junit.platform:junit-platform-launcher")
        }
        tasks.test { useJUnitPlatform() }
        assertThat(told).hasSize(4).contains("the platform")
    }

    @Test
    fun `the agent`() {
        val agent: Configuration by configurations.creating { isTransitive = false }
        dependencies { agent("dev.zelotype:zelotype:0.2.0-SNAPSHOT") }
        tasks.test { jvmArgs("-javaagent:${agent.asPath}") }
        assertThat(told).containsExactly("dev.zelotype:zelotype:0.2.0-SNAPSHOT", "-javaagent:zelotype.jar")
    }

    @Test
    fun `the guide shows these lines`() {
        val page = Files.readString(Path.of("../docs/guide/in-your-build.md"))
        val own = Files.readString(Path.of("src/test/kotlin/dev/zelotype/kotlin/GradleSnippetsTest.kt")).lines().map { it.trim() }
        val shown = Regex("(?s)```kotlin\n(.*?)```").findAll(page).flatMap { it.groupValues[1].lines() }
            .map { it.trim() }.filter { it.isNotEmpty() }.toList()
        assertThat(shown).hasSize(9)
        assertThat(own).containsAll(shown)
    }
}
