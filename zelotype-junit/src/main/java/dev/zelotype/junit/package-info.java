/**
 * For everybody who writes tests with JUnit Jupiter: a scene for each test, and its doubles handed in.
 */
@NullMarked
package dev.zelotype.junit;

import org.jspecify.annotations.NullMarked;
