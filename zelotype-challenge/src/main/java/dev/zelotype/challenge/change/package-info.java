/**
 * The changes that a challenge makes, the calls that it changes, and the messages exchanged with the JVM that runs the
 * tests.
 */
@NullMarked
package dev.zelotype.challenge.change;

import org.jspecify.annotations.NullMarked;
