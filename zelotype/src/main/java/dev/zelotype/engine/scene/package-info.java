/**
 * Inside the engine: one test's doubles, its statements, its end; building the subject.
 */
@NullMarked
package dev.zelotype.engine.scene;

import org.jspecify.annotations.NullMarked;
