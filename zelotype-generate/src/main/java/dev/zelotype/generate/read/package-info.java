/**
 * What the compiler knows of a type becomes a model.
 */
@NullMarked
package dev.zelotype.generate.read;

import org.jspecify.annotations.NullMarked;
