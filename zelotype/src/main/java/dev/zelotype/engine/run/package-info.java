/**
 * Inside the engine: what a double is told, and what it answers to a call.
 */
@NullMarked
package dev.zelotype.engine.run;

import org.jspecify.annotations.NullMarked;
