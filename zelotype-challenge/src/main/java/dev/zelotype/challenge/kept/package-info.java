/**
 * What a challenge keeps for a later one: its disturbed runs, hashes of the tests' classes, and how tests are
 * distributed over machines.
 */
@NullMarked
package dev.zelotype.challenge.kept;

import org.jspecify.annotations.NullMarked;
