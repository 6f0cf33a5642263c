/**
 * For everybody who reads results: what a scene has seen, as plain values.
 */
@NullMarked
package dev.zelotype.conversation;

import org.jspecify.annotations.NullMarked;
