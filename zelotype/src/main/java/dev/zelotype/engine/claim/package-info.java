/**
 * Engine internals: suppositions of tests, checked against a real object.
 */
@NullMarked
package dev.zelotype.engine.claim;

import org.jspecify.annotations.NullMarked;
