/**
 * Inside the engine: a type becomes a class of doubles.
 */
@NullMarked
package dev.zelotype.engine.make;

import org.jspecify.annotations.NullMarked;
