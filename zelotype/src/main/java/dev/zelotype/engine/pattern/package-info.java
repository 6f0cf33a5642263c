/**
 * Inside the engine: a method reference or a lambda becomes a call pattern.
 */
@NullMarked
package dev.zelotype.engine.pattern;

import org.jspecify.annotations.NullMarked;
