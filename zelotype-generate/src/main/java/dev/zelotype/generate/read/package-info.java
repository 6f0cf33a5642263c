/**
 * Conversion of the compiler's model of a type.
 */
@NullMarked
package dev.zelotype.generate.read;

import org.jspecify.annotations.NullMarked;
