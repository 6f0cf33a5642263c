/**
 * Engine internals: recorded calls.
 */
@NullMarked
package dev.zelotype.engine.calls;

import org.jspecify.annotations.NullMarked;
