/**
 * For hosts of tests, such as a test framework's extension: scenes that belong to a test. Tests themselves need nothing of
 * this.
 */
@NullMarked
package dev.zelotype.host;

import org.jspecify.annotations.NullMarked;
