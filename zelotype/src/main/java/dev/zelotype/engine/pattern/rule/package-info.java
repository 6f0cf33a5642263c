/**
 * What a pattern says of a call and of its arguments.
 */
@NullMarked
package dev.zelotype.engine.pattern.rule;

import org.jspecify.annotations.NullMarked;
