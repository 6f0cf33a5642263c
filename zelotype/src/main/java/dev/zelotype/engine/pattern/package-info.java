/**
 * Engine internals: from a method reference or a lambda to a call pattern.
 */
@NullMarked
package dev.zelotype.engine.pattern;

import org.jspecify.annotations.NullMarked;
