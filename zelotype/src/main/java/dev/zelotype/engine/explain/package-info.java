/**
 * Engine internals: values, calls and failures as text.
 */
@NullMarked
package dev.zelotype.engine.explain;

import org.jspecify.annotations.NullMarked;
