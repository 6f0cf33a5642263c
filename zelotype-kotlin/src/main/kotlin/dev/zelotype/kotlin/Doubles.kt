package dev.zelotype.kotlin

import dev.zelotype.Zelotype

/** A stub of a type: calls without a statement return an empty value. */
public inline fun <reified T : Any> stub(): T = Zelotype.stub<T>(T::class.java)

/** A stub with a name for messages. */
public inline fun <reified T : Any> stub(name: String): T = Zelotype.stub<T>(T::class.java, name)

/** A mock of a type: calls without a statement fail. */
public inline fun <reified T : Any> mock(): T = Zelotype.mock<T>(T::class.java)

/** A mock with a name for messages. */
public inline fun <reified T : Any> mock(name: String): T = Zelotype.mock<T>(T::class.java, name)

/** A spy without a real object: it records calls, and answers like a stub. */
public inline fun <reified T : Any> spy(): T = Zelotype.spy<T>(T::class.java)

/** A spy without a real object, with a name for messages. */
public inline fun <reified T : Any> spy(name: String): T = Zelotype.spy<T>(T::class.java, name)

/** A spy on a real object, which answers. */
public fun <T : Any> spy(real: T): T = Zelotype.spy(real)

/** A dummy of a type: any call fails. */
public inline fun <reified T : Any> dummy(): T = Zelotype.dummy<T>(T::class.java)

/** A fake: an object of an abstract class that implements the methods a test needs; calls of other methods fail. */
public inline fun <reified T : Any> fake(vararg constructorArguments: Any): T =
    Zelotype.fake<T>(T::class.java, *constructorArguments)

/** One of several objects made by a constructor, with a name of its own. */
public fun <T : Any> named(one: T, name: String): T = Zelotype.named(one, name)

/** Requires that the statements inside are met in order. */
public fun inThisOrder(statements: () -> Unit) {
    Zelotype.inThisOrder { statements() }
}

/** Fails if the doubles received a call that no statement of the test covers. */
public fun verifyNothingElse(vararg doubles: Any) {
    Zelotype.verifyNothingElse(*doubles)
}

/** Fails if a double was called at all. */
public fun verifyUntouched(vararg doubles: Any) {
    Zelotype.verifyUntouched(*doubles)
}

/** Records all calls of replaced classes, so that they can be checked. */
public fun watch(vararg types: kotlin.reflect.KClass<*>) {
    Zelotype.watch(*types.map { it.java }.toTypedArray())
}

/** Forgets the calls of doubles so far. */
public fun forgetCalls(vararg doubles: Any) {
    Zelotype.forgetCalls(*doubles)
}

/** Describes a double: its statements and its calls. */
public fun describe(one: Any): String = Zelotype.describe(one)
