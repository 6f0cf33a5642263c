/**
 * Other values than those that a test has seen.
 */
@NullMarked
package dev.zelotype.challenge.values;

import org.jspecify.annotations.NullMarked;
