/**
 * For hosts of tests, such as extensions of test frameworks: scenes of tests. Tests themselves do not need it.
 */
@NullMarked
package dev.zelotype.host;

import org.jspecify.annotations.NullMarked;
