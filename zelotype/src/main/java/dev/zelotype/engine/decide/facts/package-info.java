/**
 * What is known without any double: counts, what kinds of doubles do, which value fits which type.
 */
@NullMarked
package dev.zelotype.engine.decide.facts;

import org.jspecify.annotations.NullMarked;
