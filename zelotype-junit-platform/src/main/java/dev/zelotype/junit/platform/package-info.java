/**
 * For the JUnit Platform with any engine: scenes that were opened without an annotation or a rule.
 */
@NullMarked
package dev.zelotype.junit.platform;

import org.jspecify.annotations.NullMarked;
