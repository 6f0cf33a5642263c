/**
 * The exception that stops a challenge.
 */
@NullMarked
package dev.zelotype.challenge.error;

import org.jspecify.annotations.NullMarked;
