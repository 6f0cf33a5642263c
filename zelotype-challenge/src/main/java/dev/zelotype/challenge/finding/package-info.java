/**
 * What a challenge has found.
 */
@NullMarked
package dev.zelotype.challenge.finding;

import org.jspecify.annotations.NullMarked;
