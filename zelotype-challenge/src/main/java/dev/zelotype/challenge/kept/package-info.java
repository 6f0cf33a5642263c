/**
 * What a challenge keeps for a later one: its disturbed runs, what the classes of a test held, and how tests are shared out
 * among machines.
 */
@NullMarked
package dev.zelotype.challenge.kept;

import org.jspecify.annotations.NullMarked;
