/**
 * For tests with JUnit 4 or TestNG: a scene for each test. The doubles are made in the test, with {@link
 * dev.zelotype.Zelotype}.
 */
@NullMarked
package dev.zelotype.hosts;

import org.jspecify.annotations.NullMarked;
