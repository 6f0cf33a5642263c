/**
 * For builds and tools: can these tests fail? What happens between a subject and its doubles is disturbed, one change
 * per test run, to see whether the test notices.
 */
@NullMarked
package dev.zelotype.challenge;

import org.jspecify.annotations.NullMarked;
