/**
 * The parts of a source file, and its layout.
 */
@NullMarked
package dev.zelotype.generate.text;

import org.jspecify.annotations.NullMarked;
