/**
 * Types and annotations as they are named in source.
 */
@NullMarked
package dev.zelotype.generate.type;

import org.jspecify.annotations.NullMarked;
