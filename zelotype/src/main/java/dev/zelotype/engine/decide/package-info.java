/**
 * Inside the engine: one call, from the double's door to its answer, and what doubles are told.
 */
@NullMarked
package dev.zelotype.engine.decide;

import org.jspecify.annotations.NullMarked;
