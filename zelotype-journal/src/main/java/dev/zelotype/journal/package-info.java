/**
 * For tools that read what test runs leave behind: the journal as JSON Lines, written and read.
 */
@NullMarked
package dev.zelotype.journal;

import org.jspecify.annotations.NullMarked;
