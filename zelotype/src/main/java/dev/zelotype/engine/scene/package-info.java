/**
 * Engine internals: one test's doubles, its statements, its end; building the subject.
 */
@NullMarked
package dev.zelotype.engine.scene;

import org.jspecify.annotations.NullMarked;
