/**
 * Engine internals: calls that cannot reach a double (static, final, constructors) are redirected to one.
 */
@NullMarked
package dev.zelotype.engine.weave;

import org.jspecify.annotations.NullMarked;
