/**
 * For everybody who writes tests: the shapes of the method references and lambdas that
 * patterns, answers and conditions are written as.
 */
@NullMarked
package dev.zelotype.call;

import org.jspecify.annotations.NullMarked;
