/**
 * Inside the engine: what was called.
 */
@NullMarked
package dev.zelotype.engine.calls;

import org.jspecify.annotations.NullMarked;
