/**
 * Pieces of a source file, and how it is laid out.
 */
@NullMarked
package dev.zelotype.generate.text;

import org.jspecify.annotations.NullMarked;
