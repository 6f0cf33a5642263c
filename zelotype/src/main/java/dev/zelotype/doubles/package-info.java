/**
 * For everybody: the kinds of doubles, what they answer unasked, and doubles as readers of results meet them.
 */
@NullMarked
package dev.zelotype.doubles;

import org.jspecify.annotations.NullMarked;
