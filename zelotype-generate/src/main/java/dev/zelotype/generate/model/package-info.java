/**
 * A type and its members as doubles are written of it: names, parameters, what is answered by default.
 */
@NullMarked
package dev.zelotype.generate.model;

import org.jspecify.annotations.NullMarked;
