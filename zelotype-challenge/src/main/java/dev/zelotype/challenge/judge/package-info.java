/**
 * Interpretation of the disturbed runs: which changes no test notices, and what to write.
 */
@NullMarked
package dev.zelotype.challenge.judge;

import org.jspecify.annotations.NullMarked;
