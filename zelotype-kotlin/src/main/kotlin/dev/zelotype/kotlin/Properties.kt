package dev.zelotype.kotlin

import dev.zelotype.Zelotype
import dev.zelotype.call.Query0
import dev.zelotype.stage.Check0
import dev.zelotype.stage.ExpectedQuery0
import dev.zelotype.stage.SupposedQuery0
import kotlin.reflect.KProperty0

/** Sets what a property returns: `suppose(weather::humidity) returns 40`. */
public fun <R> suppose(property: KProperty0<R>): SupposedQuery0<R> = Zelotype.suppose(Query0 { property.get() })

/** Expects that a property will be read. */
public fun <R> expect(property: KProperty0<R>): ExpectedQuery0<R> = Zelotype.expect(Query0 { property.get() })

/** Verifies that a property was read. */
public fun <R> verify(property: KProperty0<R>): Check0 = Zelotype.verify(Query0 { property.get() })
