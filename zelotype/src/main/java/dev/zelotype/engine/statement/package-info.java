/**
 * Engine internals: suppositions, expectations, checks and orders, as the test makes them.
 */
@NullMarked
package dev.zelotype.engine.statement;

import org.jspecify.annotations.NullMarked;
