/**
 * For everybody who reads results: what Zelotype throws.
 */
@NullMarked
package dev.zelotype.error;

import org.jspecify.annotations.NullMarked;
