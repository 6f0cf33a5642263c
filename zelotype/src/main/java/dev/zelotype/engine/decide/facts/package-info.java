/**
 * Data that is independent of doubles: counts, behavior of kinds, types of values.
 */
@NullMarked
package dev.zelotype.engine.decide.facts;

import org.jspecify.annotations.NullMarked;
