/**
 * The JVMs that run the tests, and which change each of them tries when.
 */
@NullMarked
package dev.zelotype.challenge.run;

import org.jspecify.annotations.NullMarked;
