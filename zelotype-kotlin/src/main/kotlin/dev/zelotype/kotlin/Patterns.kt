// One family for each number of free parameters. PatternFamiliesTest writes this file, and holds it to what it writes.
@file:Suppress("INVISIBLE_MEMBER", "INVISIBLE_REFERENCE")

package dev.zelotype.kotlin

import dev.zelotype.Zelotype
import dev.zelotype.call.Act0
import dev.zelotype.call.Act1
import dev.zelotype.call.Act2
import dev.zelotype.call.Act3
import dev.zelotype.call.Act4
import dev.zelotype.call.Act5
import dev.zelotype.call.Act6
import dev.zelotype.call.Act7
import dev.zelotype.call.Act8
import dev.zelotype.call.Query0
import dev.zelotype.call.Query1
import dev.zelotype.call.Query2
import dev.zelotype.call.Query3
import dev.zelotype.call.Query4
import dev.zelotype.call.Query5
import dev.zelotype.call.Query6
import dev.zelotype.call.Query7
import dev.zelotype.call.Query8
import dev.zelotype.stage.Check0
import dev.zelotype.stage.Check1
import dev.zelotype.stage.Check2
import dev.zelotype.stage.Check3
import dev.zelotype.stage.Check4
import dev.zelotype.stage.Check5
import dev.zelotype.stage.Check6
import dev.zelotype.stage.Check7
import dev.zelotype.stage.Check8
import dev.zelotype.stage.ExpectedQuery0
import dev.zelotype.stage.ExpectedQuery1
import dev.zelotype.stage.ExpectedQuery2
import dev.zelotype.stage.ExpectedQuery3
import dev.zelotype.stage.ExpectedQuery4
import dev.zelotype.stage.ExpectedQuery5
import dev.zelotype.stage.ExpectedQuery6
import dev.zelotype.stage.ExpectedQuery7
import dev.zelotype.stage.ExpectedQuery8
import dev.zelotype.stage.Recorded
import dev.zelotype.stage.Recorded2
import dev.zelotype.stage.Recorded3
import dev.zelotype.stage.Recorded4
import dev.zelotype.stage.Recorded5
import dev.zelotype.stage.Recorded6
import dev.zelotype.stage.Recorded7
import dev.zelotype.stage.Recorded8
import dev.zelotype.stage.SupposedQuery0
import dev.zelotype.stage.SupposedQuery1
import dev.zelotype.stage.SupposedQuery2
import dev.zelotype.stage.SupposedQuery3
import dev.zelotype.stage.SupposedQuery4
import dev.zelotype.stage.SupposedQuery5
import dev.zelotype.stage.SupposedQuery6
import dev.zelotype.stage.SupposedQuery7
import dev.zelotype.stage.SupposedQuery8
import java.io.Serializable
import kotlin.coroutines.Continuation

/** A call with no free parameter, written as a lambda that is read and never run. */
public fun interface Pattern0<R> : Serializable {
    public suspend fun ask(): R
}

private class Carried0<R>(private val of: Any) : Query0<R> {
    override fun ask(): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query0", 0)
}

/** Says what a call answers: `suppose { weather.humidity } returns 40`. */
public fun <R> suppose(pattern: Pattern0<R>): SupposedQuery0<R> =
    Zelotype.suppose(Carried0<R>(pattern))

/** Says beforehand that a call must happen: `expect { dome.open() }.once()`. */
public fun <R> expect(pattern: Pattern0<R>): ExpectedQuery0<R> =
    Zelotype.expect(Carried0<R>(pattern))

/** Asks afterwards whether a call happened: `verify { dome.open() }.once()`. */
public fun <R> verify(pattern: Pattern0<R>): Check0 =
    Zelotype.verify(Carried0<R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <R> SupposedQuery0<R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <R> SupposedQuery0<R>.suspends(answer: suspend () -> R) {
    this.answers(object : Query0<R> {
        override fun ask(): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 0) throw PatternForm.notSuspending()
            return (answer as (Continuation<R>) -> Any?)(all[0] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing0")
public fun SupposedQuery0<Unit>.doesNothing() {
    this.does(Act0 {})
}

/** A call with one free parameter, written as a lambda that is read and never run. */
public fun interface Pattern1<A, R> : Serializable {
    public suspend fun ask(a: A): R
}

private class Carried1<A, R>(private val of: Any) : Query1<A, R> {
    override fun ask(a: A): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query1", 1)
}

/** Says what a call answers: `suppose { at: String -> mount.track(at) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, R> suppose(pattern: Pattern1<A, R>): SupposedQuery1<A, R> =
    Zelotype.suppose(Carried1<A, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String -> mount.track(at) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, R> expect(pattern: Pattern1<A, R>): ExpectedQuery1<A, R> =
    Zelotype.expect(Carried1<A, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String -> mount.track(at) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, R> verify(pattern: Pattern1<A, R>): Check1<A> =
    Zelotype.verify(Carried1<A, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String -> mount.track(at) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, R> recorded(pattern: Pattern1<A, R>): Recorded<A> =
    Zelotype.recorded(Carried1<A, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, R> SupposedQuery1<A, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, R> SupposedQuery1<A, R>.suspends(answer: suspend (A) -> R) {
    this.answers(object : Query1<A, R> {
        override fun ask(a: A): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 1) throw PatternForm.notSuspending()
            return (answer as (A, Continuation<R>) -> Any?)(all[0] as A, all[1] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing1")
public fun <A> SupposedQuery1<A, Unit>.doesNothing() {
    this.does(Act1 { _: A -> })
}

/** A call with 2 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern2<A, B, R> : Serializable {
    public suspend fun ask(a: A, b: B): R
}

private class Carried2<A, B, R>(private val of: Any) : Query2<A, B, R> {
    override fun ask(a: A, b: B): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query2", 2)
}

/** Says what a call answers: `suppose { at: String, rate: Int -> mount.track(at, rate) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, R> suppose(pattern: Pattern2<A, B, R>): SupposedQuery2<A, B, R> =
    Zelotype.suppose(Carried2<A, B, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int -> mount.track(at, rate) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, R> expect(pattern: Pattern2<A, B, R>): ExpectedQuery2<A, B, R> =
    Zelotype.expect(Carried2<A, B, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int -> mount.track(at, rate) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, R> verify(pattern: Pattern2<A, B, R>): Check2<A, B> =
    Zelotype.verify(Carried2<A, B, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int -> mount.track(at, rate) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, R> recorded(pattern: Pattern2<A, B, R>): Recorded2<A, B> =
    Zelotype.recorded(Carried2<A, B, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, R> SupposedQuery2<A, B, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, R> SupposedQuery2<A, B, R>.suspends(answer: suspend (A, B) -> R) {
    this.answers(object : Query2<A, B, R> {
        override fun ask(a: A, b: B): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 2) throw PatternForm.notSuspending()
            return (answer as (A, B, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing2")
public fun <A, B> SupposedQuery2<A, B, Unit>.doesNothing() {
    this.does(Act2 { _: A, _: B -> })
}

/** A call with 3 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern3<A, B, C, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C): R
}

private class Carried3<A, B, C, R>(private val of: Any) : Query3<A, B, C, R> {
    override fun ask(a: A, b: B, c: C): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query3", 3)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int -> mount.track(at, rate, times) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, R> suppose(pattern: Pattern3<A, B, C, R>): SupposedQuery3<A, B, C, R> =
    Zelotype.suppose(Carried3<A, B, C, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int -> mount.track(at, rate, times) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, R> expect(pattern: Pattern3<A, B, C, R>): ExpectedQuery3<A, B, C, R> =
    Zelotype.expect(Carried3<A, B, C, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int -> mount.track(at, rate, times) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, R> verify(pattern: Pattern3<A, B, C, R>): Check3<A, B, C> =
    Zelotype.verify(Carried3<A, B, C, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int -> mount.track(at, rate, times) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, R> recorded(pattern: Pattern3<A, B, C, R>): Recorded3<A, B, C> =
    Zelotype.recorded(Carried3<A, B, C, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, R> SupposedQuery3<A, B, C, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, R> SupposedQuery3<A, B, C, R>.suspends(answer: suspend (A, B, C) -> R) {
    this.answers(object : Query3<A, B, C, R> {
        override fun ask(a: A, b: B, c: C): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 3) throw PatternForm.notSuspending()
            return (answer as (A, B, C, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing3")
public fun <A, B, C> SupposedQuery3<A, B, C, Unit>.doesNothing() {
    this.does(Act3 { _: A, _: B, _: C -> })
}

/** A call with 4 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern4<A, B, C, D, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C, d: D): R
}

private class Carried4<A, B, C, D, R>(private val of: Any) : Query4<A, B, C, D, R> {
    override fun ask(a: A, b: B, c: C, d: D): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query4", 4)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int, title: String -> mount.track(at, rate, times, title) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, R> suppose(pattern: Pattern4<A, B, C, D, R>): SupposedQuery4<A, B, C, D, R> =
    Zelotype.suppose(Carried4<A, B, C, D, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int, title: String -> mount.track(at, rate, times, title) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, R> expect(pattern: Pattern4<A, B, C, D, R>): ExpectedQuery4<A, B, C, D, R> =
    Zelotype.expect(Carried4<A, B, C, D, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int, title: String -> mount.track(at, rate, times, title) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, R> verify(pattern: Pattern4<A, B, C, D, R>): Check4<A, B, C, D> =
    Zelotype.verify(Carried4<A, B, C, D, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int, title: String -> mount.track(at, rate, times, title) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, R> recorded(pattern: Pattern4<A, B, C, D, R>): Recorded4<A, B, C, D> =
    Zelotype.recorded(Carried4<A, B, C, D, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, D, R> SupposedQuery4<A, B, C, D, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, D, R> SupposedQuery4<A, B, C, D, R>.suspends(answer: suspend (A, B, C, D) -> R) {
    this.answers(object : Query4<A, B, C, D, R> {
        override fun ask(a: A, b: B, c: C, d: D): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 4) throw PatternForm.notSuspending()
            return (answer as (A, B, C, D, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as D, all[4] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing4")
public fun <A, B, C, D> SupposedQuery4<A, B, C, D, Unit>.doesNothing() {
    this.does(Act4 { _: A, _: B, _: C, _: D -> })
}

/** A call with 5 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern5<A, B, C, D, E, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C, d: D, e: E): R
}

private class Carried5<A, B, C, D, E, R>(private val of: Any) : Query5<A, B, C, D, E, R> {
    override fun ask(a: A, b: B, c: C, d: D, e: E): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query5", 5)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int, title: String, first: Int -> mount.track(at, rate, times, title, first) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, R> suppose(pattern: Pattern5<A, B, C, D, E, R>): SupposedQuery5<A, B, C, D, E, R> =
    Zelotype.suppose(Carried5<A, B, C, D, E, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int, title: String, first: Int -> mount.track(at, rate, times, title, first) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, R> expect(pattern: Pattern5<A, B, C, D, E, R>): ExpectedQuery5<A, B, C, D, E, R> =
    Zelotype.expect(Carried5<A, B, C, D, E, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int, title: String, first: Int -> mount.track(at, rate, times, title, first) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, R> verify(pattern: Pattern5<A, B, C, D, E, R>): Check5<A, B, C, D, E> =
    Zelotype.verify(Carried5<A, B, C, D, E, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int, title: String, first: Int -> mount.track(at, rate, times, title, first) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, R> recorded(pattern: Pattern5<A, B, C, D, E, R>): Recorded5<A, B, C, D, E> =
    Zelotype.recorded(Carried5<A, B, C, D, E, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, D, E, R> SupposedQuery5<A, B, C, D, E, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, D, E, R> SupposedQuery5<A, B, C, D, E, R>.suspends(answer: suspend (A, B, C, D, E) -> R) {
    this.answers(object : Query5<A, B, C, D, E, R> {
        override fun ask(a: A, b: B, c: C, d: D, e: E): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 5) throw PatternForm.notSuspending()
            return (answer as (A, B, C, D, E, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as D, all[4] as E, all[5] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing5")
public fun <A, B, C, D, E> SupposedQuery5<A, B, C, D, E, Unit>.doesNothing() {
    this.does(Act5 { _: A, _: B, _: C, _: D, _: E -> })
}

/** A call with 6 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern6<A, B, C, D, E, F, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C, d: D, e: E, f: F): R
}

private class Carried6<A, B, C, D, E, F, R>(private val of: Any) : Query6<A, B, C, D, E, F, R> {
    override fun ask(a: A, b: B, c: C, d: D, e: E, f: F): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query6", 6)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int, title: String, first: Int, last: Int -> mount.track(at, rate, times, title, first, last) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, R> suppose(pattern: Pattern6<A, B, C, D, E, F, R>): SupposedQuery6<A, B, C, D, E, F, R> =
    Zelotype.suppose(Carried6<A, B, C, D, E, F, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int, title: String, first: Int, last: Int -> mount.track(at, rate, times, title, first, last) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, R> expect(pattern: Pattern6<A, B, C, D, E, F, R>): ExpectedQuery6<A, B, C, D, E, F, R> =
    Zelotype.expect(Carried6<A, B, C, D, E, F, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int, title: String, first: Int, last: Int -> mount.track(at, rate, times, title, first, last) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, R> verify(pattern: Pattern6<A, B, C, D, E, F, R>): Check6<A, B, C, D, E, F> =
    Zelotype.verify(Carried6<A, B, C, D, E, F, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int, title: String, first: Int, last: Int -> mount.track(at, rate, times, title, first, last) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, R> recorded(pattern: Pattern6<A, B, C, D, E, F, R>): Recorded6<A, B, C, D, E, F> =
    Zelotype.recorded(Carried6<A, B, C, D, E, F, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, D, E, F, R> SupposedQuery6<A, B, C, D, E, F, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, D, E, F, R> SupposedQuery6<A, B, C, D, E, F, R>.suspends(answer: suspend (A, B, C, D, E, F) -> R) {
    this.answers(object : Query6<A, B, C, D, E, F, R> {
        override fun ask(a: A, b: B, c: C, d: D, e: E, f: F): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 6) throw PatternForm.notSuspending()
            return (answer as (A, B, C, D, E, F, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as D, all[4] as E, all[5] as F, all[6] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing6")
public fun <A, B, C, D, E, F> SupposedQuery6<A, B, C, D, E, F, Unit>.doesNothing() {
    this.does(Act6 { _: A, _: B, _: C, _: D, _: E, _: F -> })
}

/** A call with 7 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern7<A, B, C, D, E, F, G, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G): R
}

private class Carried7<A, B, C, D, E, F, G, R>(private val of: Any) : Query7<A, B, C, D, E, F, G, R> {
    override fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query7", 7)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int -> mount.track(at, rate, times, title, first, last, from) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, R> suppose(pattern: Pattern7<A, B, C, D, E, F, G, R>): SupposedQuery7<A, B, C, D, E, F, G, R> =
    Zelotype.suppose(Carried7<A, B, C, D, E, F, G, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int -> mount.track(at, rate, times, title, first, last, from) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, R> expect(pattern: Pattern7<A, B, C, D, E, F, G, R>): ExpectedQuery7<A, B, C, D, E, F, G, R> =
    Zelotype.expect(Carried7<A, B, C, D, E, F, G, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int -> mount.track(at, rate, times, title, first, last, from) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, R> verify(pattern: Pattern7<A, B, C, D, E, F, G, R>): Check7<A, B, C, D, E, F, G> =
    Zelotype.verify(Carried7<A, B, C, D, E, F, G, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int -> mount.track(at, rate, times, title, first, last, from) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, R> recorded(pattern: Pattern7<A, B, C, D, E, F, G, R>): Recorded7<A, B, C, D, E, F, G> =
    Zelotype.recorded(Carried7<A, B, C, D, E, F, G, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, D, E, F, G, R> SupposedQuery7<A, B, C, D, E, F, G, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, D, E, F, G, R> SupposedQuery7<A, B, C, D, E, F, G, R>.suspends(answer: suspend (A, B, C, D, E, F, G) -> R) {
    this.answers(object : Query7<A, B, C, D, E, F, G, R> {
        override fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 7) throw PatternForm.notSuspending()
            return (answer as (A, B, C, D, E, F, G, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as D, all[4] as E, all[5] as F, all[6] as G, all[7] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing7")
public fun <A, B, C, D, E, F, G> SupposedQuery7<A, B, C, D, E, F, G, Unit>.doesNothing() {
    this.does(Act7 { _: A, _: B, _: C, _: D, _: E, _: F, _: G -> })
}

/** A call with 8 free parameters, written as a lambda that is read and never run. */
public fun interface Pattern8<A, B, C, D, E, F, G, H, R> : Serializable {
    public suspend fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G, h: H): R
}

private class Carried8<A, B, C, D, E, F, G, H, R>(private val of: Any) : Query8<A, B, C, D, E, F, G, H, R> {
    override fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G, h: H): R = throw PatternForm.neverRun()

    private fun writeReplace(): Any = PatternForm.of(of, "dev/zelotype/call/Query8", 8)
}

/** Says what a call answers: `suppose { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int, upTo: Int -> mount.track(at, rate, times, title, first, last, from, upTo) } returns 40`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, H, R> suppose(pattern: Pattern8<A, B, C, D, E, F, G, H, R>): SupposedQuery8<A, B, C, D, E, F, G, H, R> =
    Zelotype.suppose(Carried8<A, B, C, D, E, F, G, H, R>(pattern))

/** Says beforehand that a call must happen: `expect { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int, upTo: Int -> mount.track(at, rate, times, title, first, last, from, upTo) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, H, R> expect(pattern: Pattern8<A, B, C, D, E, F, G, H, R>): ExpectedQuery8<A, B, C, D, E, F, G, H, R> =
    Zelotype.expect(Carried8<A, B, C, D, E, F, G, H, R>(pattern))

/** Asks afterwards whether a call happened: `verify { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int, upTo: Int -> mount.track(at, rate, times, title, first, last, from, upTo) }.once()`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, H, R> verify(pattern: Pattern8<A, B, C, D, E, F, G, H, R>): Check8<A, B, C, D, E, F, G, H> =
    Zelotype.verify(Carried8<A, B, C, D, E, F, G, H, R>(pattern))

/** Gives the arguments of calls: `recorded { at: String, rate: Int, times: Int, title: String, first: Int, last: Int, from: Int, upTo: Int -> mount.track(at, rate, times, title, first, last, from, upTo) }`. */
@kotlin.internal.LowPriorityInOverloadResolution
public fun <A, B, C, D, E, F, G, H, R> recorded(pattern: Pattern8<A, B, C, D, E, F, G, H, R>): Recorded8<A, B, C, D, E, F, G, H> =
    Zelotype.recorded(Carried8<A, B, C, D, E, F, G, H, R>(pattern))

/** Gives a value: `suppose { weather.humidity } returns 40`. */
public infix fun <A, B, C, D, E, F, G, H, R> SupposedQuery8<A, B, C, D, E, F, G, H, R>.returns(value: R) {
    this.returns(value)
}

/** Answers as a lambda does that may suspend, where the call suspends as well. */
public fun <A, B, C, D, E, F, G, H, R> SupposedQuery8<A, B, C, D, E, F, G, H, R>.suspends(answer: suspend (A, B, C, D, E, F, G, H) -> R) {
    this.answers(object : Query8<A, B, C, D, E, F, G, H, R> {
        override fun ask(a: A, b: B, c: C, d: D, e: E, f: F, g: G, h: H): R = throw PatternForm.notSuspending()

        @Suppress("UNCHECKED_CAST")
        override fun spread(all: Array<Any?>): Any? {
            if (all.size == 8) throw PatternForm.notSuspending()
            return (answer as (A, B, C, D, E, F, G, H, Continuation<R>) -> Any?)(all[0] as A, all[1] as B, all[2] as C, all[3] as D, all[4] as E, all[5] as F, all[6] as G, all[7] as H, all[8] as Continuation<R>)
        }
    })
}

/** Says that a call which gives nothing does nothing. */
@JvmName("doesNothing8")
public fun <A, B, C, D, E, F, G, H> SupposedQuery8<A, B, C, D, E, F, G, H, Unit>.doesNothing() {
    this.does(Act8 { _: A, _: B, _: C, _: D, _: E, _: F, _: G, _: H -> })
}
