/**
 * Replacements for the values that a test has seen.
 */
@NullMarked
package dev.zelotype.challenge.values;

import org.jspecify.annotations.NullMarked;
