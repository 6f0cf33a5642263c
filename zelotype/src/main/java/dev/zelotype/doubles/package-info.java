/**
 * For everybody who reads results: the kinds of doubles, and the conversation of a scene as plain values.
 */
@NullMarked
package dev.zelotype.doubles;

import org.jspecify.annotations.NullMarked;
