/**
 * The proposals of a challenge as a patch of the test sources.
 */
@NullMarked
package dev.zelotype.challenge.patch;

import org.jspecify.annotations.NullMarked;
