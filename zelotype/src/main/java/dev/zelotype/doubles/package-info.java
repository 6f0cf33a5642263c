/**
 * For everybody: the kinds of doubles, their default answers, and descriptions of doubles for readers of results.
 */
@NullMarked
package dev.zelotype.doubles;

import org.jspecify.annotations.NullMarked;
