/**
 * For everybody who reads results: the record of a scene, as plain values.
 */
@NullMarked
package dev.zelotype.conversation;

import org.jspecify.annotations.NullMarked;
