/**
 * For everybody who writes tests: the shapes of method references and lambdas for patterns, answers and conditions.
 */
@NullMarked
package dev.zelotype.call;

import org.jspecify.annotations.NullMarked;
