/**
 * The possible continuations of a statement, one class for each number of free parameters. For tests, which seldom name
 * these types: they are what {@code suppose}, {@code expect} and {@code verify} return. All classes whose names end in
 * a number are written from templates.
 */
@NullMarked
package dev.zelotype.stage;

import org.jspecify.annotations.NullMarked;
