/**
 * For everybody who reads results: the exceptions of Zelotype.
 */
@NullMarked
package dev.zelotype.error;

import org.jspecify.annotations.NullMarked;
