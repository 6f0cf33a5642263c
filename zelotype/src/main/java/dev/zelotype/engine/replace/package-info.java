/**
 * Engine internals: which classes and objects are replaced in which scene.
 */
@NullMarked
package dev.zelotype.engine.replace;

import org.jspecify.annotations.NullMarked;
