/**
 * Inside the engine: what a test supposes, held against a real object.
 */
@NullMarked
package dev.zelotype.engine.claim;

import org.jspecify.annotations.NullMarked;
