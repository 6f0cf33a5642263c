/**
 * The statements that a challenge proposes as a patch of the tests' sources.
 */
@NullMarked
package dev.zelotype.challenge.patch;

import org.jspecify.annotations.NullMarked;
