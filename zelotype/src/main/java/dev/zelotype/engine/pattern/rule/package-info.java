/**
 * The conditions of a pattern on a call and its arguments.
 */
@NullMarked
package dev.zelotype.engine.pattern.rule;

import org.jspecify.annotations.NullMarked;
