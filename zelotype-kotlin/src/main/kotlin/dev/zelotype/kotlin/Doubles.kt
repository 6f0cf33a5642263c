package dev.zelotype.kotlin

import dev.zelotype.Zelotype

/** A stub of a type: calls that nothing was said of answer with an empty value. */
public inline fun <reified T : Any> stub(): T = Zelotype.stub<T>(T::class.java)

/** A stub with a name, as messages call it. */
public inline fun <reified T : Any> stub(name: String): T = Zelotype.stub<T>(T::class.java, name)

/** A mock of a type: calls that nothing was said of are refused. */
public inline fun <reified T : Any> mock(): T = Zelotype.mock<T>(T::class.java)

/** A mock with a name, as messages call it. */
public inline fun <reified T : Any> mock(name: String): T = Zelotype.mock<T>(T::class.java, name)

/** A spy on no object: it records what it is asked, and answers like a stub. */
public inline fun <reified T : Any> spy(): T = Zelotype.spy<T>(T::class.java)

/** A spy on no object, with a name, as messages call it. */
public inline fun <reified T : Any> spy(name: String): T = Zelotype.spy<T>(T::class.java, name)

/** A spy on a real object, which answers. */
public fun <T : Any> spy(real: T): T = Zelotype.spy(real)

/** A dummy of a type: any call of it is refused. */
public inline fun <reified T : Any> dummy(): T = Zelotype.dummy<T>(T::class.java)

/** A fake: an object of an abstract class with the methods that a test needs; a call of another one is refused. */
public inline fun <reified T : Any> fake(vararg constructorArguments: Any): T =
    Zelotype.fake<T>(T::class.java, *constructorArguments)

/** One of several objects that a constructor gives, under a name of its own. */
public fun <T : Any> named(one: T, name: String): T = Zelotype.named(one, name)

/** Says that statements inside hold in their order. */
public fun inThisOrder(statements: () -> Unit) {
    Zelotype.inThisOrder { statements() }
}

/** Fails unless each call of the doubles is one that a statement of the test is about. */
public fun verifyNothingElse(vararg doubles: Any) {
    Zelotype.verifyNothingElse(*doubles)
}

/** Fails if a double was called at all. */
public fun verifyUntouched(vararg doubles: Any) {
    Zelotype.verifyUntouched(*doubles)
}

/** Lets checks hear of all calls of classes that are replaced. */
public fun watch(vararg types: kotlin.reflect.KClass<*>) {
    Zelotype.watch(*types.map { it.java }.toTypedArray())
}

/** Forgets the calls of doubles so far. */
public fun forgetCalls(vararg doubles: Any) {
    Zelotype.forgetCalls(*doubles)
}

/** Tells what a double is, and what it was told and asked. */
public fun describe(one: Any): String = Zelotype.describe(one)
