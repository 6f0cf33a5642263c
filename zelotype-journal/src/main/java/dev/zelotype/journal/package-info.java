/**
 * For tools that read the results of test runs: the journal as JSON Lines, for writing and reading.
 */
@NullMarked
package dev.zelotype.journal;

import org.jspecify.annotations.NullMarked;
