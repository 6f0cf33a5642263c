/**
 * For everybody who writes tests: the four verbs, the five kinds of doubles and the scene that holds them.
 */
@NullMarked
package dev.zelotype;

import org.jspecify.annotations.NullMarked;
