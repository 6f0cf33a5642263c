/**
 * Engine internals: from a type to a class of doubles.
 */
@NullMarked
package dev.zelotype.engine.make;

import org.jspecify.annotations.NullMarked;
