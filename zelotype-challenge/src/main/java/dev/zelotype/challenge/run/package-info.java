/**
 * The JVMs that run the tests, and the order of the changes.
 */
@NullMarked
package dev.zelotype.challenge.run;

import org.jspecify.annotations.NullMarked;
