/**
 * The result of a challenge.
 */
@NullMarked
package dev.zelotype.challenge.finding;

import org.jspecify.annotations.NullMarked;
