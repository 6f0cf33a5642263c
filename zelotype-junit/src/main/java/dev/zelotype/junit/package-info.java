/**
 * For tests with JUnit Jupiter: a scene for each test, and its doubles in fields and parameters.
 */
@NullMarked
package dev.zelotype.junit;

import org.jspecify.annotations.NullMarked;
