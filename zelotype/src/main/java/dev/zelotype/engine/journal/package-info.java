/**
 * Inside the engine: what was called.
 */
@NullMarked
package dev.zelotype.engine.journal;

import org.jspecify.annotations.NullMarked;
