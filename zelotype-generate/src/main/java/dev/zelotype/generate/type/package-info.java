/**
 * Types and annotations as source names them.
 */
@NullMarked
package dev.zelotype.generate.type;

import org.jspecify.annotations.NullMarked;
