/**
 * Engine internals: one call from its start to its answer, and the statements about doubles.
 */
@NullMarked
package dev.zelotype.engine.decide;

import org.jspecify.annotations.NullMarked;
