/**
 * What a challenge changes in which call of which test, and how it tells the JVM that runs the test.
 */
@NullMarked
package dev.zelotype.challenge.change;

import org.jspecify.annotations.NullMarked;
