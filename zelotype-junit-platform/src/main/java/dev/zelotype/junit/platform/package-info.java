/**
 * For the JUnit Platform, whichever engine runs the tests: scenes that no annotation and no rule has opened.
 */
@NullMarked
package dev.zelotype.junit.platform;

import org.jspecify.annotations.NullMarked;
